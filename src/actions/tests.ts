import 'reflect-metadata';
import { ArrayUnique, IsArray, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { ROUND, SEEN_IN_TESTS } from '@/core/fields/round';
import { stored } from '@/core/fields/stored';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { proofOf, type Search, searchOf } from '@/core/tension/search';
import type { Verdict } from '@/core/tension/probit';
import { breakGf } from '@/core/thread/thread';
import type { Direction } from '@/core/fields/lists';
import { insertFault } from '@/data/faults';
import { advanceStep, readQuilt } from '@/data/quilts';
import { readSetup, readSetups } from '@/data/setups';
import type { Sql } from '@/data/sql';
import { readCone } from '@/data/cones';
import { deleteProof, insertRound, readRounds, type RoundFields, upsertProof } from '@/data/tests';
import type { ChosenSetup, TestRound } from '@/data/types';
import { readZones } from '@/data/zones';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { EachId, Fields, FormKey, Id, Maybe, PartOf, QuiltId } from './rules';
import { save } from './save';
import { settingsBeside, readSettings } from './settings';
import { untestedTwins, withTwins } from './twins';
import { sandwichOf } from './zone-brief';

const STEP = { message: 'Press one of the seven appearances.' };
const step = () => (target: object, key: string) => {
  IsOptional()(target, key);
  IsInt(STEP)(target, key);
  Min(-3, STEP)(target, key);
  Max(3, STEP)(target, key);
};

class Verdicts {
  @step() away?: Verdict;
  @step() toward?: Verdict;
  @step() left?: Verdict;
  @step() right?: Verdict;
  @step() curve?: Verdict;
  @step() point?: Verdict;
}

/** A test stitch that was sewn and judged. */
@Fields(ROUND)
export class LogTest {
  @FormKey() key!: string;

  @QuiltId() quiltId!: string;

  @Id('Pick a zone first.') zoneId!: string;

  @Id('Choose a set-up on Match first.') setupId!: string;

  /** The number this test will have: one more than were on the strip. */
  @IsInt({ message: 'Reload the page; the test’s number is missing.' })
  @Min(1, { message: 'Reload the page; the test’s number is missing.' })
  n!: number;

  topGf!: number;

  bobbinGf!: number;

  @PartOf(() => Verdicts)
  verdicts!: Verdicts;

  note!: string;

  /** Zones that sew alike and are confirmed by this test too. */
  @Maybe()
  @IsArray({ message: 'Say which zones this test is for.' })
  @ArrayUnique({ message: 'A zone stands twice.' })
  @EachId('A zone is not known. Reload the page.')
  together?: string[];

  /** What else was seen; it goes to the fault log with the round. */
  @IsOptional()
  @IsArray({ message: 'Pick from what else can be seen.' })
  @ArrayUnique({ message: 'The same sign is picked twice.' })
  @IsIn(SEEN_IN_TESTS, { each: true, message: 'Pick from what else can be seen.' })
  seen?: string[];
}

/** Everything the test page shows for one zone's set-up. */
export async function readSearch(
  sql: Sql,
  quiltId: string,
  zoneId: string,
  setup: ChosenSetup,
): Promise<Search<TestRound> | null> {
  const [quilt, zones, setups, top, rounds, log] = await Promise.all([
    readQuilt(sql, quiltId),
    readZones(sql, quiltId),
    readSetups(sql, quiltId),
    readCone(sql, setup.topId),
    readRounds(sql, setup.id),
    readSettings(sql, quiltId),
  ]);
  const zone = zones.find((z) => z.id === zoneId);
  if (!quilt || !zone || !top) return null;
  const cards = withTwins(zones, new Map(setups.map((s) => [s.zoneId, s])));
  const card = cards.get(zoneId) ?? setup;
  const own = settingsBeside(setup, log.get(zoneId));
  // What was set at the machine since is what the next test is sewn with, while none was sewn.
  const begun =
    rounds.length === 0
      ? { ...card, topGf: own.topGf ?? card.topGf, bobbinGf: own.bobbinGf ?? card.bobbinGf }
      : card;
  return searchOf(begun, rounds, thicknessMm(sandwichOf(zone, quilt)), breakGf(top));
}

/** The direction a round was judged in, when it was only one. */
const oneDirection = (v: TestRound['verdicts']): Direction | null => {
  const [only, ...more] = Object.keys(v) as Direction[];
  return only && more.length === 0 ? only : null;
};

/** One test stitch confirms several zones that sew alike: each has it on its strip, and it teaches once. */
async function confirmTwins(
  tx: Sql,
  form: LogTest,
  round: Parameters<typeof insertRound>[1],
  proof: ReturnType<typeof proofOf>,
): Promise<Result<never> | null> {
  const together = form.together ?? [];
  if (together.length === 0) return null;
  const [zones, setups] = await Promise.all([readZones(tx, form.quiltId), readSetups(tx, form.quiltId)]);
  const zone = zones.find((z) => z.id === form.zoneId)!;
  const twins = untestedTwins(zone, zones, new Map(setups.map((s) => [s.zoneId, s])));
  for (const id of together) {
    const twin = twins.find((t) => t.zone.id === id);
    if (!twin)
      return refuse(
        'One of these zones does not sew alike any more. Reload the page; nothing was stored.',
        'together',
      );
    const own = {
      ...round,
      id: uuidv7(),
      setupId: twin.setup.id,
      n: twin.setup.rounds + 1,
      seen: [],
      sewnWith: round.id,
    };
    if (!(await insertRound(tx, own)))
      return conflict('Another window tested one of these zones just now. Reload to see it.');
    await upsertProof(tx, { ...proof, setupId: twin.setup.id, roundId: own.id });
  }
  return null;
}

/** Stores a judged test stitch, and the proof when it ends the search. */
export const logTest = (context: Context, input: unknown): Promise<Result<{ n: number; done: boolean }>> =>
  save<LogTest, { n: number; done: boolean }>(context, 'log-test', LogTest, input, async (tx, form) => {
    const verdicts = Object.fromEntries(
      Object.entries(form.verdicts ?? {}).filter(([, v]) => v != null),
    ) as TestRound['verdicts'];
    if (Object.keys(verdicts).length === 0)
      return refuse('Say how at least one direction looks before storing the test.', 'verdicts');
    const setup = await readSetup(tx, form.zoneId);
    if (!setup || setup.id !== form.setupId)
      return conflict(
        'This zone’s set-up was changed in another window. Nothing was stored: reload, and check what is on the machine.',
      );
    const round = {
      ...(stored(ROUND, form) as RoundFields),
      id: uuidv7(),
      setupId: setup.id,
      n: form.n,
      verdicts,
      seen: form.seen ?? [],
    };
    if (form.n !== setup.rounds + 1 || !(await insertRound(tx, round)))
      return conflict(
        `Test ${form.n} was already stored from another window. Reload to see it; yours was not stored.`,
      );
    const search = await readSearch(tx, form.quiltId, form.zoneId, setup);
    if (!search) return refuse('This zone is no longer on the quilt. Reload the page.', 'zoneId');
    if (search.next.done) {
      await upsertProof(tx, {
        ...proofOf(search),
        setupId: setup.id,
        roundId: round.id,
        prior: search.prior,
      });
      const refused = await confirmTwins(tx, form, round, proofOf(search));
      if (refused) return refused;
    } else await deleteProof(tx, setup.id);
    if (round.seen.length > 0)
      await insertFault(tx, {
        id: uuidv7(),
        quiltId: form.quiltId,
        zoneId: form.zoneId,
        xIn: null,
        yIn: null,
        pass: null,
        direction: oneDirection(verdicts),
        note: `On the test strip, test ${form.n}.${round.note ? ` ${round.note}` : ''}`,
        symptoms: round.seen,
      });
    await advanceStep(tx, form.quiltId, 'test', ['take-in', 'match']);
    return done({ n: form.n, done: search.next.done });
  });
