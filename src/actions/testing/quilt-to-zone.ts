import { readRack } from '@/data/quilts';
import type { Sql } from '@/data/sql';

/** A quilt of the demo of which nothing is locked or sewn yet. */
export const quiltToZone = async (sql: Sql): Promise<string> =>
  (await readRack(sql)).find((q) => q.passes === null && q.sewn.length === 0)!.id;
