import { type PreferenceFields, PREFERENCES } from '@/core/fields/preferences';
import { columnsOf } from './columns';
import type { Sql } from './sql';
import type { Preferences } from './types';

export const PREFERENCE_FIELDS = columnsOf(PREFERENCES);

/** The studio's settings; null before a studio is set up. */
export async function readPreferences(sql: Sql): Promise<Preferences | null> {
  const [row] = await sql<
    Preferences[]
  >`select ${sql([...PREFERENCE_FIELDS, 'version'] as string[])} from preferences`;
  return row ?? null;
}

/** Sets the studio's preferences when they are still the ones seen; false when changed meanwhile. */
export async function updatePreferences(
  sql: Sql,
  settings: PreferenceFields,
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update preferences set ${sql(settings, ...PREFERENCE_FIELDS)}, version = version + 1
    where version = ${version} returning id`;
  return rows.length === 1;
}

/** Puts other preferences in place of those that stand, whatever version was seen. */
export const replacePreferences = (sql: Sql, settings: PreferenceFields) => sql`
  update preferences set ${sql(settings, ...PREFERENCE_FIELDS)}, version = version + 1`;
