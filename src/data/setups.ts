import { changedSince, type RestsOn } from '@/core/tension/rests-on';
import type { Sql } from './sql';
import type { ChosenSetup } from './types';

type Row = ChosenSetup & { restsOnNow: RestsOn | null };

/** A proof holds only while what it rests on is the same. */
function asSetup({ restsOnNow, ...s }: Row): ChosenSetup {
  const why = s.restedOn && restsOnNow ? changedSince(s.restedOn, restsOnNow) : [];
  return why.length === 0
    ? { ...s, turnedBack: null }
    : {
        ...s,
        provenAt: null,
        provenTopGf: null,
        provenBobbinGf: null,
        turnedBack: { provenAt: s.provenAt!, why },
      };
}

/** @param proofs whether it is asked what each proof rests on now; without, none is told. */
const selectSetup = (sql: Sql, proofs = true) => sql`
  select distinct on (s.zone_id) s.id, s.zone_id, s.version, s.top_id, s.bobbin_id, s.needle_nm, s.needle_eye,
         s.needle_point, s.foot, s.spi, s.mode, s.idle_spm, s.max_in_per_s, s.hand_in_per_s, s.top_gf, s.bobbin_gf, s.ratio,
         s.ratio_sd, s.ratio_model, s.chosen_at, p.top_gf as proven_top_gf, p.bobbin_gf as proven_bobbin_gf, p.proven_at,
         p.rested_on, ${proofs ? sql`case when p.setup_id is not null then rests_on(s.id) end` : sql`null::jsonb`} as rests_on_now,
         (select count(*)::int from test_round r where r.setup_id = s.id) as rounds
  from setup s left join proof p on p.setup_id = s.id`;

/** The set-up that stands for each zone of a quilt: the newest version. */
export async function readSetups(sql: Sql, quiltId: string): Promise<ChosenSetup[]> {
  const rows = await sql<Row[]>`
    ${selectSetup(sql)} join zone z on z.id = s.zone_id where z.quilt_id = ${quiltId}
    order by s.zone_id, s.version desc`;
  return rows.map(asSetup);
}

/** The cards alone, without asking whether what was tested still holds. */
export async function readCards(sql: Sql, quiltId: string): Promise<ChosenSetup[]> {
  const rows = await sql<Row[]>`
    ${selectSetup(sql, false)} join zone z on z.id = s.zone_id where z.quilt_id = ${quiltId}
    order by s.zone_id, s.version desc`;
  return rows.map(asSetup);
}

/** The standing set-ups of every zone of several quilts. */
export async function readSetupsOf(sql: Sql, quiltIds: readonly string[]): Promise<ChosenSetup[]> {
  const rows = await sql<Row[]>`
    ${selectSetup(sql)} join zone z on z.id = s.zone_id where z.quilt_id = any(${quiltIds as string[]})
    order by s.zone_id, s.version desc`;
  return rows.map(asSetup);
}

export async function readSetup(sql: Sql, zoneId: string): Promise<ChosenSetup | null> {
  const [row] = await sql<Row[]>`
    ${selectSetup(sql)} where s.zone_id = ${zoneId} order by s.zone_id, s.version desc`;
  return row ? asSetup(row) : null;
}

export type NewSetup = Pick<
  ChosenSetup,
  | 'id'
  | 'zoneId'
  | 'version'
  | 'topId'
  | 'bobbinId'
  | 'needleNm'
  | 'needleEye'
  | 'needlePoint'
  | 'foot'
  | 'spi'
  | 'mode'
  | 'idleSpm'
  | 'maxInPerS'
  | 'handInPerS'
  | 'topGf'
  | 'bobbinGf'
  | 'ratio'
  | 'ratioSd'
  | 'ratioModel'
>;

/** Adds the next version; false when someone else has already added it. */
export async function insertSetup(sql: Sql, s: NewSetup): Promise<boolean> {
  const rows = await sql`
    insert into setup (id, zone_id, version, top_id, bobbin_id, needle_nm, needle_eye, needle_point, foot, spi,
                       mode, idle_spm, max_in_per_s, hand_in_per_s, top_gf, bobbin_gf, ratio, ratio_sd, ratio_model)
    values (${s.id}, ${s.zoneId}, ${s.version}, ${s.topId}, ${s.bobbinId}, ${s.needleNm}, ${s.needleEye},
            ${s.needlePoint}, ${s.foot}, ${s.spi}, ${s.mode}, ${s.idleSpm}, ${s.maxInPerS}, ${s.handInPerS}, ${s.topGf},
            ${s.bobbinGf}, ${s.ratio}, ${s.ratioSd}, ${s.ratioModel})
    on conflict (zone_id, version) do nothing returning id`;
  return rows.length === 1;
}
