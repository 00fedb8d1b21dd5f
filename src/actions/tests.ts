import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, ValidateNested } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { nextTension, type TensionNext } from '@/core/tension/next';
import { Z80 } from '@/core/statistics/normal';
import { tensionPosterior } from '@/core/tension/posterior';
import type { Verdict } from '@/core/tension/probit';
import { breakGf } from '@/core/thread/thread';
import { advanceStep, readQuilt } from '@/data/quilts';
import { readSetup } from '@/data/setups';
import type { Sql } from '@/data/sql';
import { readCone } from '@/data/cones';
import { deleteProof, insertRound, readRounds, upsertProof } from '@/data/tests';
import type { ChosenSetup, TestRound } from '@/data/types';
import { readZones } from '@/data/zones';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, QuiltId } from './rules';
import { save } from './save';
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
export class LogTest {
  @FormKey() key!: string;

  @QuiltId() quiltId!: string;

  @Id('Pick a zone first.') zoneId!: string;

  @Id('Choose a set-up on Match first.') setupId!: string;

  /** The number this test will have: one more than were on the strip. */
  @IsInt({ message: 'Reload the page; the test’s number is missing.' })
  @Min(1, { message: 'Reload the page; the test’s number is missing.' })
  n!: number;

  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { message: 'Give the top tension in gf as a number, such as 104.' },
  )
  @Min(5, { message: 'Top tension must lie between 5 and 500 gf.' })
  @Max(500, { message: 'Top tension must lie between 5 and 500 gf.' })
  topGf!: number;

  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { message: 'Give the bobbin tension in gf as a number, such as 21.' },
  )
  @Min(3, { message: 'Bobbin tension must lie between 3 and 150 gf.' })
  @Max(150, { message: 'Bobbin tension must lie between 3 and 150 gf.' })
  bobbinGf!: number;

  @ValidateNested()
  @Type(() => Verdicts)
  verdicts!: Verdicts;

  @IsString({ message: 'The note must be text.' })
  @MaxLength(1000, { message: 'Keep the note under 1000 letters.' })
  note!: string;
}

export interface Search {
  rounds: TestRound[];
  next: TensionNext;
  /** What each round left of the 80 % and 50 % bands of the top tension, gf; first is the guess. */
  bands: { low80: number; high80: number; low50: number; high50: number }[];
  /** Chance that the next setting is balanced, 0–1. */
  chance: number;
}

/** The search as it stands: the rounds sewn, the next tension, and how the band narrowed. */
export function searchOf(
  setup: ChosenSetup,
  rounds: TestRound[],
  thickness: number,
  breaking: number,
): Search {
  const prior = { ratio: setup.ratio, sd: setup.ratioSd };
  const start = { topGf: setup.topGf, bobbinGf: setup.bobbinGf, ...prior };
  const next = nextTension({ start, thicknessMm: thickness, breakGf: breaking, tests: rounds });
  const seen = rounds.map((r) => ({ ...r, verdicts: Object.values(r.verdicts) as Verdict[] }));
  const after = Array.from({ length: rounds.length + 1 }, (_, i) =>
    tensionPosterior(prior, thickness, seen.slice(0, i)),
  );
  const bands = after.map((posterior, i) => {
    const at = (p: number) => (rounds[i - 1]?.bobbinGf ?? setup.bobbinGf) * Math.exp(posterior.quantile(p));
    return { low80: at(0.1), high80: at(0.9), low50: at(0.25), high50: at(0.75) };
  });
  const chance = after.at(-1)!.pBalanced(next.topGf / next.bobbinGf);
  return { rounds, next, bands, chance };
}

/** Everything the test bench shows for one zone's set-up. */
export async function readSearch(
  sql: Sql,
  quiltId: string,
  zoneId: string,
  setup: ChosenSetup,
): Promise<Search | null> {
  const [quilt, zones, top, rounds] = await Promise.all([
    readQuilt(sql, quiltId),
    readZones(sql, quiltId),
    readCone(sql, setup.topId),
    readRounds(sql, setup.id),
  ]);
  const zone = zones.find((z) => z.id === zoneId);
  if (!quilt || !zone || !top) return null;
  return searchOf(setup, rounds, thicknessMm(sandwichOf(zone, quilt)), breakGf(top));
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
      id: uuidv7(),
      setupId: setup.id,
      n: form.n,
      topGf: form.topGf,
      bobbinGf: form.bobbinGf,
      verdicts,
      note: form.note,
    };
    if (form.n !== setup.rounds + 1 || !(await insertRound(tx, round)))
      return conflict(
        `Test ${form.n} was already stored from another window. Reload to see it; yours was not stored.`,
      );
    const search = await readSearch(tx, form.quiltId, form.zoneId, setup);
    if (!search) return refuse('This zone is no longer on the quilt. Reload the page.', 'zoneId');
    if (search.next.done) await upsertProof(tx, proofOf(setup, search, round.id));
    else await deleteProof(tx, setup.id);
    await advanceStep(tx, form.quiltId, 'test', ['take-in', 'match']);
    return done({ n: form.n, done: search.next.done });
  });

/** What a finished search has proved, for the card and for learning. */
export function proofOf(
  setup: ChosenSetup,
  { rounds, next }: Pick<Search, 'rounds' | 'next'>,
  roundId: string,
) {
  const ln = (r: number) => Math.log(r);
  return {
    setupId: setup.id,
    roundId,
    topGf: rounds.at(-1)!.topGf,
    bobbinGf: rounds.at(-1)!.bobbinGf,
    lnRatioMean: (ln(next.ratioLow) + ln(next.ratioHigh)) / 2,
    lnRatioSd: Math.max(1e-4, (ln(next.ratioHigh) - ln(next.ratioLow)) / (2 * Z80)),
  };
}
