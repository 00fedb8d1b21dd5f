import { readCalendar } from './calendar';
import { readCare, readCareOf, readServiceLog } from './care';
import { clientLetter } from './client-sheet';
import { conesById, coneUses } from './cones';
import { readChoices } from './corrections';
import { exportCsv, importHints } from './exchange';
import { readFaultBench } from './fault-bench';
import { likelyHere } from './fault-setup';
import { find } from './find';
import { readHabitOf, readHand, readOwnHours } from './hand';
import { cameToOf } from './hand-back';
import { keptShelf } from './kept-shelf';
import { readLearnedView } from './learned-view';
import { letterFacts, letterFile } from './letters';
import { readOwnMatchSources } from './match-sources';
import { readPastMotifs } from './motifs';
import { readPlan } from './plan';
import { readQuiltView } from './quilt-view';
import { readRackView } from './rack';
import { readSettings } from './settings';
import { readShopping } from './shopping';
import { readTasks } from './tasks';
import { readToday } from './today';
import { readSteps } from './waiting';
import { readSearch } from './tests';
import { exportWorkroom } from './workroom-file';
import { readCopies } from '@/data/backup';
import { readBegun } from '@/data/begun';
import { readCureCounts, readCures, readTrials } from '@/data/trials';
import { readBobbins, readTray } from '@/data/bobbins';
import { readAirAt } from '@/data/air';
import { readServicesBetween } from '@/data/care';
import { readClient } from '@/data/clients';
import { readBattings, readFabrics, readPutAway } from '@/data/cloths';
import { readShelf } from '@/data/cones';
import { readCorrections } from '@/data/corrections';
import {
  readBook,
  readCures as readBookCures,
  readFittedBetween,
  readMonths,
  readStretches,
  readTallies,
  readTimeLost,
  readWays,
} from '@/data/fault-book';
import { readDatabaseHealth } from '@/data/health';
import { readHandBack, readRecord, readRecordLines, readRecordSum } from '@/data/hand-back';
import { readIntake, readOpenIntakes, readPhotographBytes, readPhotographs } from '@/data/intakes';
import { readPath, readRaw, readRun, readRuns } from '@/data/link';
import { readEntries } from '@/data/log';
import { readCalibrations, readMachine, readMachines, readScales } from '@/data/machines';
import { readMarkerTests } from '@/data/marker-tests';
import { readMarking } from './marking';
import { readMishaps } from '@/data/mishaps';
import { readOffers, readRates } from '@/data/offers';
import { readKindsCameTo, readOfferSources } from './offers';
import { readDrawer, readFitted, readFittedIn, readNeedles } from '@/data/needles';
import { readPastWork } from '@/data/past';
import { readPreferences } from '@/data/preferences';
import { readAuditions, readPlacedPhotographs } from '@/data/auditions';
import { readPattern, readPatterns } from '@/data/patterns';
import { readDevices, readDeviceState, readInvitations, readPeople, readSessions } from '@/data/people';
import { readFirstAndLatest, readPractice, readSent } from '@/data/practice';
import { readPrepared } from '@/data/prepared';
import { readClientNames, readFramed, readRack, readTakenInLately, readWithdrawn } from '@/data/quilts';
import { readRulers } from '@/data/rulers';
import { readSewnBeforeLog } from '@/data/steps';
import { readRounds } from '@/data/tests';
import { readYarns } from '@/data/yarns';
import { isThere } from '@/data/sql';
import { readZonesToMatch } from '@/data/zones';
import { stepWork } from './link';
import type { Sql } from '@/data/sql';
import { type Context, thisContext } from './context';
import { allowed, ANYONE, NOT_YOURS, OWNER, type Role } from './may';

/** What can be read: by whom, from the database and what else it is asked with. */
interface Query<A extends readonly unknown[], T> {
  readonly may: readonly Role[];
  readonly read: (context: Context, ...asked: A) => T;
}

const query = <A extends readonly unknown[], T>(
  read: (sql: Sql, ...asked: A) => T,
  may: readonly Role[] = ANYONE,
): Query<A, T> => ({ read: ({ sql }, ...asked) => read(sql, ...asked), may });

/** The same for what is the person's own, who asks. */
const own = <A extends readonly unknown[], T>(
  read: (sql: Sql, personId: string, ...asked: A) => T,
  may: readonly Role[] = ANYONE,
): Query<A, T> => ({ read: ({ sql, actor }, ...asked) => read(sql, actor.id, ...asked), may });

/** Every query by its name: pages and doors read through these, with no connection of their own. */
const QUERIES = {
  readCalendar: query(readCalendar),
  readAirAt: query(readAirAt),
  readCare: query(readCare),
  readCareOf: query(readCareOf),
  readServiceLog: query(readServiceLog),
  readServicesBetween: query(readServicesBetween),
  clientLetter: query(clientLetter),
  conesById: query(conesById),
  readChoices: query(readChoices),
  exportCsv: query(exportCsv, OWNER),
  stepWork: query(stepWork),
  readFaultBench: query(readFaultBench),
  likelyHere: query(likelyHere),
  find: query(find),
  cameToOf: query(cameToOf),
  keptShelf: query(keptShelf),
  readLearnedView: query(readLearnedView),
  letterFacts: query(letterFacts),
  letterFile: query(letterFile),
  readPastMotifs: query(readPastMotifs),
  readPlan: query(readPlan),
  readPeople: query(readPeople),
  readInvitations: query(readInvitations, OWNER),
  readSessions: query(readSessions),
  readDevices: query(readDevices),
  readDeviceState: query(readDeviceState),
  readQuiltView: query(readQuiltView),
  readRackView: query(readRackView),
  readSettings: query(readSettings),
  readShopping: query(readShopping),
  readSteps: query(readSteps),
  readTasks: query(readTasks),
  readToday: query(readToday),
  readSearch: query(readSearch),
  exportWorkroom: query(exportWorkroom, OWNER),
  readCopies: query(readCopies),
  readBegun: query(readBegun),
  readCureCounts: query(readCureCounts),
  readCures: query(readCures),
  readTrials: query(readTrials),
  readBobbins: query(readBobbins),
  readTray: query(readTray),
  readClient: query(readClient),
  readBattings: query(readBattings),
  readFabrics: query(readFabrics),
  readPutAway: query(readPutAway),
  readShelf: query(readShelf),
  readCorrections: query(readCorrections),
  readBook: query(readBook),
  readBookCures: query(readBookCures),
  readFittedBetween: query(readFittedBetween),
  readMonths: query(readMonths),
  readStretches: query(readStretches),
  readTallies: query(readTallies),
  readTimeLost: query(readTimeLost),
  readWays: query(readWays),
  readHand: own(readHand),
  readHabit: own(readHabitOf),
  readOwnHours: own(readOwnHours),
  readOwnMatchSources: own(readOwnMatchSources),
  readHandBack: query(readHandBack),
  readRecord: query(readRecord),
  readRecordLines: query(readRecordLines),
  readRecordSum: query(readRecordSum),
  readIntake: query(readIntake),
  readOpenIntakes: query(readOpenIntakes),
  readPhotographBytes: query(readPhotographBytes),
  readPhotographs: query(readPhotographs),
  readPath: query(readPath),
  readRaw: query(readRaw),
  readRun: query(readRun),
  readRuns: query(readRuns),
  readEntries: query(readEntries),
  readCalibrations: query(readCalibrations),
  readMachine: query(readMachine),
  readMachines: query(readMachines),
  readScales: query(readScales),
  readMarkerTests: query(readMarkerTests),
  readMarking: query(readMarking),
  readMishaps: query(readMishaps),
  readRates: query(readRates),
  readOffers: query(readOffers),
  readOfferSources: query(readOfferSources),
  readKindsCameTo: query(readKindsCameTo),
  readDrawer: query(readDrawer),
  readFitted: query(readFitted),
  readFittedIn: query(readFittedIn),
  readNeedles: query(readNeedles),
  readPastWork: query(readPastWork),
  readPreferences: query(readPreferences),
  readPattern: query(readPattern),
  readAuditions: query(readAuditions),
  readPlacedPhotographs: query(readPlacedPhotographs),
  readPatterns: query(readPatterns),
  readFirstAndLatest: own(readFirstAndLatest),
  readPractice: own(readPractice),
  readSent: query(readSent),
  readPrepared: query(readPrepared),
  readClientNames: query(readClientNames),
  readFramed: query(readFramed),
  readRack: query(readRack),
  readTakenInLately: query(readTakenInLately),
  readWithdrawn: query(readWithdrawn),
  readRulers: query(readRulers),
  readSewnBeforeLog: query(readSewnBeforeLog),
  readRounds: query(readRounds),
  readYarns: query(readYarns),
  readZonesToMatch: query(readZonesToMatch),
  isThere: query(isThere),
  readDatabaseHealth: query(readDatabaseHealth),
} as const;

/** Who may read what. */
export const RIGHTS: Readonly<Record<string, readonly Role[]>> = Object.fromEntries(
  Object.entries(QUERIES).map(([name, { may }]) => [name, may]),
);

/** What a component asks while its page is used; each takes whatever comes. */
const FROM_BROWSER = { coneUses: query(coneUses), importHints: query(importHints) } as const;

type Asked<Q> = Q extends Query<infer A, infer T> ? (...asked: A) => T : never;
type Asks<R> = { readonly [N in keyof R]: Asked<R[N]> };
export type AskedByBrowser = Asks<typeof FROM_BROWSER>;

const answer = <A extends readonly unknown[], T>(
  context: Context,
  { may, read }: Query<A, T>,
  asked: A,
): T => {
  if (!allowed(context.actor, may)) throw new Error(NOT_YOURS);
  return read(context, ...asked);
};

export const isAskedByBrowser = (name: string): name is keyof AskedByBrowser =>
  Object.hasOwn(FROM_BROWSER, name);
export const askFor = (context: Context, name: keyof AskedByBrowser, ...asked: unknown[]): Promise<unknown> =>
  answer<unknown[], Promise<unknown>>(
    context,
    FROM_BROWSER[name] as unknown as Query<unknown[], Promise<unknown>>,
    asked,
  );

/** `ask.readPlan(view)`: each query, asked by whoever this request is from. */
export const ask = Object.fromEntries(
  Object.entries(QUERIES).map(([name, row]) => [
    name,
    (...asked: unknown[]) => answer(thisContext(), row as unknown as Query<unknown[], unknown>, asked),
  ]),
) as unknown as Asks<typeof QUERIES>;
