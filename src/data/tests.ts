import { DIRECTIONS } from '@/core/fields/lists';
import { ROUND } from '@/core/fields/round';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { TestRound } from './types';
import type { Verdict } from '@/core/tension/probit';

type Row = Omit<TestRound, 'verdicts'> & Record<(typeof DIRECTIONS)[number], Verdict | null>;

const asRound = ({ away, toward, left, right, curve, point, ...rest }: Row): TestRound => {
  const judged = { away, toward, left, right, curve, point };
  return {
    ...rest,
    verdicts: Object.fromEntries(DIRECTIONS.flatMap((d) => (judged[d] === null ? [] : [[d, judged[d]]]))),
  };
};

/** What of a round is asked for in its form, besides how it looks. */
export type RoundFields = Pick<TestRound, 'topGf' | 'bobbinGf' | 'note'>;
const ROUND_FIELDS = columnsOf(ROUND);
const OWN = ['id', 'setupId', 'n', 'seen', 'photographId', 'measured', 'sewnAt', ...DIRECTIONS] as const;

const NEW = OWN.filter((c) => c !== 'photographId' && c !== 'measured');

/** The test rounds of a set-up, in order. */
export async function readRounds(sql: Sql, setupId: string): Promise<TestRound[]> {
  const rows = await sql<Row[]>`
    select ${sql([...OWN, ...ROUND_FIELDS])}, who(by_person) as who from test_round where setup_id = ${setupId} order by n`;
  return rows.map(asRound);
}

export type NewRound = RoundFields &
  Pick<TestRound, 'id' | 'setupId' | 'n' | 'verdicts'> & {
    seen?: string[];
    sewnAt?: Date;
    /** The test of another zone that this one was sewn as. */
    sewnWith?: string | null;
  };

/** Adds a round; false when that number was already taken. */
export async function insertRound(sql: Sql, { verdicts, ...r }: NewRound): Promise<boolean> {
  const judged = Object.fromEntries(DIRECTIONS.map((d) => [d, verdicts[d] ?? null]));
  const row = {
    ...r,
    ...judged,
    seen: r.seen ?? [],
    sewnAt: r.sewnAt ?? new Date(),
    sewnWith: r.sewnWith ?? null,
  };
  const rows = await sql`
    insert into test_round ${sql(row, ...([...NEW, 'sewnWith', ...ROUND_FIELDS] as (keyof typeof row)[]))}
    on conflict (setup_id, n) do nothing returning id`;
  return rows.length === 1;
}

export interface NewProof {
  setupId: string;
  roundId: string;
  topGf: number;
  bobbinGf: number;
  lnRatioMean: number;
  lnRatioSd: number;
  provenAt?: Date;
  /** What the search began from, where it was not the card’s own guess. */
  prior?: { ratio: number; sd: number };
}

/** What the finished search proved; a later round on the same set-up replaces it. */
export const upsertProof = (sql: Sql, p: NewProof) => sql`
  insert into proof (setup_id, round_id, top_gf, bobbin_gf, ln_ratio_mean, ln_ratio_sd, proven_at, rested_on, prior_ratio, prior_sd)
  values (${p.setupId}, ${p.roundId}, ${p.topGf}, ${p.bobbinGf}, ${p.lnRatioMean}, ${p.lnRatioSd},
          ${p.provenAt ?? new Date()}, rests_on(${p.setupId}), ${p.prior?.ratio ?? null}, ${p.prior?.sd ?? null})
  on conflict (setup_id) do update set round_id = excluded.round_id, top_gf = excluded.top_gf,
    bobbin_gf = excluded.bobbin_gf, ln_ratio_mean = excluded.ln_ratio_mean,
    ln_ratio_sd = excluded.ln_ratio_sd, proven_at = excluded.proven_at, rested_on = excluded.rested_on,
    prior_ratio = excluded.prior_ratio, prior_sd = excluded.prior_sd`;

/** Takes the proof back, when a later test no longer balances. */
export const deleteProof = (sql: Sql, setupId: string) => sql`delete from proof where setup_id = ${setupId}`;
