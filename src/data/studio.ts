import type { Sql } from './sql';
import type { Cone, DrawerNeedle, Machine, Studio } from './types';

/** The studio's settings; null before a studio is set up. */
export async function readStudio(sql: Sql): Promise<Studio | null> {
  const [row] = await sql<Studio[]>`
    select name, town, units, hours_per_week, bobbin_school, label_rule, mode_rule, floor_spi from studio`;
  return row ?? null;
}

export async function readMachine(sql: Sql, id: string): Promise<Machine> {
  const [row] = await sql<Machine[]>`
    select id, name, shank, max_spm, idle_min_spm, idle_max_spm, min_spi, max_spi, modes, feet,
           bobbin_od_mm, bobbin_core_mm, bobbin_width_mm, throat_in, dead_in, frame_in
    from machine where id = ${id}`;
  return row!;
}

/** Every cone in use, by line and colour. */
export const readShelf = (sql: Sql): Promise<Cone[]> => sql<Cone[]>`
  select id, line, colour, hex, fibre, label, tex, tex_basis, role, remaining_m, needle_min_nm, needle_max_nm
  from thread where archived_at is null order by line, colour`;

/** The needles in the drawer. */
export const readDrawer = (sql: Sql): Promise<DrawerNeedle[]> => sql<DrawerNeedle[]>`
  select nm, eye, point, stock from needle where stock > 0 order by nm, eye, point`;
