import type { Sql } from './sql';

/** A zone that was matched before, with what came of it. */
export interface PastWork {
  setupId: string;
  quiltId: string;
  quilt: string;
  client: string;
  zoneId: string;
  zone: string;
  at: Date;
  cloths: { fabric: string; name: string; share: number }[];
  battingId: string;
  batting: string;
  technique: string;
  spacingIn: number;
  topId: string;
  topName: string;
  topHex: string | null;
  tex: number;
  fibre: string;
  bobbinId: string;
  bobbinName: string;
  needleNm: number;
  spi: number;
  topGf: number;
  bobbinGf: number;
  proven: boolean;
  rounds: number;
  faults: number;
  sewn: boolean;
  /** When its card was chosen. */
  chosenAt: Date;
}

/** The newest set-ups of zones of other quilts, those that were tested or sewn; by words of client, quilt, thread or cloth. */
export const readPastWork = (sql: Sql, not: string, words: string, most: number): Promise<PastWork[]> => {
  const like = `%${words.replace(/[\\%_]/g, '\\$&')}%`;
  return sql<PastWork[]>`
    with newest as (
      select s.*, z.quilt_id, z.name as zone_name, z.letter, z.technique, z.spacing_in
      from setup s join zone z on z.id = s.zone_id
      where z.quilt_id <> ${not} and not exists (
        select from setup later where later.zone_id = s.zone_id and later.version > s.version)
      order by s.chosen_at desc limit ${most * 4})
    select n.id as setup_id, q.id as quilt_id, q.name as quilt, c.name as client, n.zone_id,
           n.letter || ' ' || n.zone_name as zone, n.chosen_at as at, n.chosen_at,
           (select coalesce(jsonb_agg(jsonb_build_object('fabric', f.kind, 'name', f.name, 'share', zf.share) order by zf.position), '[]')
            from zone_fabric zf join fabric f on f.id = zf.fabric_id where zf.zone_id = n.zone_id) as cloths,
           b.kind as batting_id, b.name as batting, n.technique, n.spacing_in, t.id as top_id,
           t.line || ' ' || t.colour as top_name, t.hex as top_hex, t.tex, t.fibre, u.id as bobbin_id,
           u.line || ' ' || u.colour as bobbin_name, coalesce(sewn.needle_nm, n.needle_nm) as needle_nm, n.spi,
           coalesce(p.top_gf, n.top_gf) as top_gf, coalesce(p.bobbin_gf, n.bobbin_gf) as bobbin_gf,
           p.setup_id is not null as proven,
           (select count(*)::int from test_round r where r.setup_id = n.id) as rounds,
           (select count(*)::int from fault f where f.zone_id = n.zone_id) as faults,
           q.handed_back_on is not null as sewn
    from newest n join quilt q on q.id = n.quilt_id join client c on c.id = q.client_id
    join batting b on b.id = q.batting_id
    -- What was really sewn there, where it was: most of its stitches, whatever the card says.
    left join lateral (
      select w.top_id, w.bobbin_id, w.needle_nm from stitches_sewn w where w.zone_id = n.zone_id
      group by 1, 2, 3 order by sum(w.stitches) desc limit 1) sewn on true
    join cone t on t.id = coalesce(sewn.top_id, n.top_id) join cone u on u.id = coalesce(sewn.bobbin_id, n.bobbin_id)
    left join proof p on p.setup_id = n.id
    where ${
      words.trim() === ''
        ? sql`true`
        : sql`(c.name ilike ${like} or q.name ilike ${like} or t.line || ' ' || t.colour ilike ${like}
               or u.line || ' ' || u.colour ilike ${like} or b.name ilike ${like}
               or exists (select from zone_fabric zf join fabric f on f.id = zf.fabric_id
                          where zf.zone_id = n.zone_id and f.name ilike ${like}))`
    }
    order by n.chosen_at desc limit ${most}`;
};
