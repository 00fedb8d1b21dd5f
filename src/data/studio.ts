import type { Sql } from './sql';
import type { Studio } from './types';

export const STUDIO_FIELDS = [
  'name',
  'town',
  'units',
  'hoursPerWeek',
  'bobbinSchool',
  'labelRule',
  'modeRule',
  'floorSpi',
  'needleSchool',
  'oneNeedleNm',
  'spiSchool',
  'oneSpi',
  'ditchSchool',
  'evenness',
  'motifSchool',
  'endsSchool',
  'rollingSchool',
  'tensionSchool',
  'bastingSchool',
  'prewashSchool',
  'gapShare',
  'lowM',
  'needleWarnShare',
  'marginIn',
  'testMarginIn',
  'dayHours',
] as const;

export type StudioSettings = Pick<Studio, (typeof STUDIO_FIELDS)[number]>;

/** The studio's settings; null before a studio is set up. */
export async function readStudio(sql: Sql): Promise<Studio | null> {
  const [row] = await sql<Studio[]>`select ${sql([...STUDIO_FIELDS, 'version'])} from studio`;
  return row ?? null;
}

/** Sets the studio's preferences when they are still the ones seen; false when changed meanwhile. */
export async function updateStudio(sql: Sql, settings: StudioSettings, version: number): Promise<boolean> {
  const rows = await sql`
    update studio set ${sql(settings, ...STUDIO_FIELDS)}, version = version + 1
    where version = ${version} returning id`;
  return rows.length === 1;
}
