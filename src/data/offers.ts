import {
  OFFER,
  type OfferFields,
  type OfferState,
  RATES,
  type RatesFields,
  type SuppliedFields,
} from '@/core/fields/offer';

import type { Offer, WorkOfKind } from '@/core/quote/offer';
import type { OfferedStep } from '@/core/quote/kinds';
import { columnsOf } from './columns';
import { asJson, type Sql } from './sql';
import type { Rates } from './types';

const RATES_FIELDS = columnsOf(RATES);

export async function readRates(sql: Sql): Promise<Rates> {
  const [row] = await sql<Rates[]>`select ${sql(RATES_FIELDS)}, version from rates`;
  return row!;
}

/** Changes what is charged when it is still as it was seen; false when changed meanwhile. */
export async function updateRates(sql: Sql, fields: RatesFields, version: number): Promise<boolean> {
  const rows = await sql`
    update rates set ${sql(fields, ...RATES_FIELDS)}, version = version + 1 where version = ${version} returning id`;
  return rows.length === 1;
}

/** What an offer was reckoned from and came to, as it stood that day. */
export interface Reckoned extends Offer {
  work: readonly WorkOfKind[];
}

export interface StoredOffer extends OfferFields {
  id: string;
  quiltId: string;
  n: number;
  state: OfferState;
  currency: string;
  supplied: SuppliedFields[];
  reckoned: Reckoned;
  lowMinor: number;
  midMinor: number;
  highMinor: number;
  madeOn: string;
  agreedOn: string | null;
  version: number;
}
const OFFER_FIELDS = columnsOf(OFFER);
const OWN = [
  'id',
  'quiltId',
  'n',
  'state',
  'currency',
  'supplied',
  'reckoned',
  'madeOn',
  'agreedOn',
  'version',
] as const;

const selectOffer = (sql: Sql) => sql`
  select ${sql([...OWN, ...OFFER_FIELDS] as string[])}, low_minor::float8, mid_minor::float8, high_minor::float8 from offer`;

/** The offers of a quilt, newest first. */
export const readOffers = (sql: Sql, quiltId: string): Promise<StoredOffer[]> => sql<StoredOffer[]>`
  ${selectOffer(sql)} where quilt_id = ${quiltId} order by n desc`;

/** Puts a new offer in place of the one that stands; its number. The quilt's row is locked by the caller. */
export async function insertOffer(
  sql: Sql,
  o: OfferFields & Pick<StoredOffer, 'id' | 'quiltId' | 'currency' | 'supplied' | 'reckoned' | 'madeOn'>,
): Promise<number> {
  await sql`
    update offer set state = 'changed', version = version + 1
    where quilt_id = ${o.quiltId} and state in ('offered', 'agreed')`;
  const [next] = await sql<{ n: number }[]>`
    select coalesce(max(n), 0) + 1 as n from offer where quilt_id = ${o.quiltId}`;
  const row = {
    ...o,
    n: next!.n,
    supplied: asJson(sql, o.supplied),
    reckoned: asJson(sql, o.reckoned),
    lowMinor: o.reckoned.low,
    midMinor: o.reckoned.mid,
    highMinor: o.reckoned.high,
  };
  await sql`
    insert into offer ${sql(row, 'id', 'quiltId', 'n', 'currency', 'supplied', 'reckoned', 'madeOn', 'lowMinor', 'midMinor', 'highMinor', ...OFFER_FIELDS)}`;
  return next!.n;
}

/** Says what became of an offer that is still as it was seen; false when changed meanwhile. */
export async function setOfferState(
  sql: Sql,
  id: string,
  version: number,
  state: OfferState,
  on: string | null,
): Promise<boolean> {
  const rows = await sql`
    update offer set state = ${state}, agreed_on = ${on}, version = version + 1
    where id = ${id} and version = ${version} and state in ('offered', 'agreed') returning id`;
  return rows.length === 1;
}

/** Offers that were agreed on quilts that are home, and the timed steps that were sewn on them; the newest. */
export async function readOffersSewn(
  sql: Sql,
  most: number,
): Promise<{ offered: { quiltId: string; work: WorkOfKind[] }[]; steps: OfferedStep[] }> {
  const offered = await sql<{ quiltId: string; work: WorkOfKind[] }[]>`
    select o.quilt_id, o.reckoned -> 'work' as work from offer o join quilt q on q.id = o.quilt_id
    where o.state = 'agreed' and q.step = 'hand-back' order by o.made_at desc limit ${most}`;
  const steps = await sql<OfferedStep[]>`
    select quilt_id, minutes, parts from step_sewn
    where quilt_id = any(${offered.map((o) => o.quiltId)}) and minutes is not null and parts is not null`;
  return { offered, steps };
}
