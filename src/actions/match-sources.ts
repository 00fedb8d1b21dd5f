import { soundness } from '@/core/thread/age';
import { createHash } from 'node:crypto';
import type { FaultRecord } from '@/core/faults/rates';
import { match } from '@/core/match/match';
import type { MatchResult } from '@/core/match/setup';
import type {
  MatchMachine,
  MatchNeedle,
  MatchPreferences,
  MatchRequest,
  MatchThread,
} from '@/core/match/request';
import { readBobbins } from '@/data/bobbins';
import { readFaultRecord } from '@/data/fault-record';
import { readDrawer } from '@/data/needles';
import type { Sql } from '@/data/sql';
import { readPreferences } from '@/data/preferences';
import type { BobbinStock, Cone, DrawerNeedle, Machine, Preferences, Quilt, Zone } from '@/data/types';
import { onceFor } from './kept-shelf';
import { keepLast } from './keep-last';
import type { QuiltView } from './quilt-view';
import { readOwnSpeeds } from './hand';
import { readTensionLearning, type StudioTension } from './searches';
import { quiltWork } from './quilt-work';
import { coneName, zoneForCore } from './zone-brief';

/** What the studio brings to every match: the drawer, its preferences, its own fault record, the bobbins wound. */
export interface MatchSources {
  drawer: DrawerNeedle[];
  preferences: Preferences;
  record: FaultRecord;
  bobbins: BobbinStock[];
  tension: StudioTension;
  /** Speeds of the person who asks, in place of the usual ones, by technique, in/s. */
  speeds?: Readonly<Record<string, number>>;
}

export async function readMatchSources(sql: Sql): Promise<MatchSources> {
  const [drawer, preferences, record, bobbins, tension] = await Promise.all([
    readDrawer(sql),
    readPreferences(sql),
    readFaultRecord(sql),
    readBobbins(sql),
    readTensionLearning(sql),
  ]);
  return { drawer, preferences: preferences!, record, bobbins, tension };
}

/** The same with the speeds of the person who asks, where she said that hers are taken. */
export async function readOwnMatchSources(sql: Sql, personId: string): Promise<MatchSources> {
  const [sources, speeds] = await Promise.all([readMatchSources(sql), readOwnSpeeds(sql, personId)]);
  return { ...sources, speeds };
}

/** A machine as the core reckons with it. */
export const machineForCore = (machine: Machine): MatchMachine => ({
  ...machine,
  bobbinMm: { od: machine.bobbinOdMm, core: machine.bobbinCoreMm, width: machine.bobbinWidthMm },
  // Without a sensor nothing follows the hands: the rate is set, or the feed under a walking foot makes the stitch.
  ...(machine.kind === 'table' && {
    table: { regulated: machine.regulated },
    ...(machine.regulated !== 'sensor' && { modes: ['manual' as const] }),
  }),
});

/** What the studio prefers, for a match to obey. */
export const schoolsForCore = (p: Preferences): MatchPreferences => ({
  ...p,
  bobbin: p.bobbinSchool,
  oneSpi: p.spiSchool === 'one' ? (p.oneSpi ?? undefined) : undefined,
});

/**
 * What Match, the whole quilt and the tests ask the core, of the same rows: everything but the zone. A thread the
 * studio keeps bobbins of but has none left counts as none, one it never wound for is not guessed at.
 */
export function sharedRequest(
  quilt: Quilt,
  machine: Machine,
  shelf: readonly Cone[],
  { drawer, preferences, record, bobbins, speeds }: MatchSources,
): Omit<MatchRequest, 'zone'> {
  const wound = new Map<string, number>();
  for (const b of bobbins) wound.set(b.coneId, (wound.get(b.coneId) ?? 0) + b.count);
  return {
    machine: machineForCore(machine),
    threads: threadsOf(shelf),
    needles: needlesFor(drawer, preferences),
    preferences: schoolsForCore(preferences),
    backingHex: quilt.backingHex ?? undefined,
    wash: quilt.wash ?? undefined,
    wound: [...wound].map(([id, n]) => ({ id, bobbins: n })),
    gapShare: preferences.gapShare,
    ownInPerS: speeds,
    record,
  };
}

/** What is asked of a zone beside its cloth: lines sewn over on purpose, the yarn that is laid. */
export const zoneWishes = ({ retraced, yarn }: Zone) => ({
  retraced: retraced ?? undefined,
  yarn: yarn ? { diameterMm: yarn.diameterMm, hex: yarn.hex ?? undefined } : undefined,
});

/**
 * Everything the core weighs for one zone of a quilt, with what stands in its other zones: threads and needles
 * already chosen there, and the metres they will take.
 */
export function zoneRequest(
  view: Pick<QuiltView, 'quilt' | 'zones' | 'setups' | 'shelf'>,
  zone: Zone,
  machine: Machine,
  sources: MatchSources,
): MatchRequest {
  const { quilt, zones, setups, shelf } = view;
  const others = zones.filter((z) => z.id !== zone.id);
  const cones = new Map(shelf.map((c) => [c.id, c]));
  return {
    ...sharedRequest(quilt, machine, shelf, sources),
    zone: zoneForCore(zone, quilt),
    ...zoneWishes(zone),
    others: others.flatMap((z) => {
      const s = setups.get(z.id);
      return s ? [{ zone: z.letter, topId: s.topId, needleNm: s.needleNm }] : [];
    }),
    claimedM: Object.fromEntries(quiltWork(quilt, others, setups, cones, machine).totalM),
  };
}

/** The same shelf gives the same threads, so that they need not be compared one by one. */
export const threadsOf = onceFor((shelf: readonly Cone[]) =>
  shelf.flatMap((c) => (c.archivedAt || isSpent(c) ? [] : asMatchThread(c))),
);

/** Too weak to be sewn with by its pull or its age; what only bastes is left out as well. */
const isSpent = (c: Cone): boolean => (soundness(c, Date.now())?.word ?? 'sound') !== 'sound';

const asMatchThread = (c: Cone): MatchThread => ({
  id: c.id,
  name: coneName(c),
  tex: c.tex,
  fibre: c.fibre,
  hex: c.hex ?? undefined,
  hexes: c.hexes.length > 0 ? c.hexes : undefined,
  runIn: c.runIn ?? undefined,
  remainingM: c.remainingM ?? undefined,
  role: c.role,
  labelNeedleNm:
    c.needleMinNm !== null && c.needleMaxNm !== null ? [c.needleMinNm, c.needleMaxNm] : undefined,
});

/** The drawer, or the one trusted size of a studio that keeps to one (when it owns it). */
export function needlesFor(drawer: readonly DrawerNeedle[], preferences: Preferences): MatchNeedle[] {
  const pick = drawer.map(({ nm, eye, point }) => ({ nm, eye, point }));
  const trusted =
    preferences.needleSchool === 'one' ? pick.filter((n) => n.nm === preferences.oneNeedleNm) : [];
  return trusted.length > 0 ? trusted : pick;
}

const MOST_ANSWERED = 40;
const answered = keepLast<MatchResult>(MOST_ANSWERED);

let shelves = 0;
const markOf = onceFor((_threads: readonly MatchThread[]) => ++shelves);

/** What the core answers; a question that was asked just now, of the very same shelf, is not worked out again. */
export function matchOnce(request: MatchRequest, learnedMark: string): MatchResult {
  const { threads, ...rest } = request;
  const key = createHash('sha1')
    .update(`${learnedMark} ${markOf(threads)} ${JSON.stringify(rest)}`)
    .digest('base64');
  return answered.get(key) ?? answered.put(key, match(request));
}

/** The same question with one pair of threads only. */
export const onlyPair = (request: MatchRequest, pair: { topId: string; bobbinId: string }): MatchRequest => ({
  ...request,
  threads: request.threads.flatMap((t) => {
    const serves = (id: string, role: 'top' | 'bobbin') =>
      t.id === id && (t.role === role || (t.role ?? 'both') === 'both');
    const [top, bobbin] = [serves(pair.topId, 'top'), serves(pair.bobbinId, 'bobbin')];
    return top || bobbin
      ? [{ ...t, role: top && bobbin ? ('both' as const) : top ? ('top' as const) : ('bobbin' as const) }]
      : [];
  }),
});
