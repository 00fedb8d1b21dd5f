import { foldLog, standingSettings, type ZoneSettings } from '@/core/log/fold';
import type { Settings } from '@/core/log/entry';
import { readEffective } from '@/data/log';
import type { Sql } from '@/data/sql';
import type { ChosenSetup } from '@/data/types';

/** What was set at the machine in a quilt, by zone, as its log has it. */
export const readSettings = async (sql: Sql, quiltId: string): Promise<ReadonlyMap<string, ZoneSettings>> =>
  foldLog(await readEffective(sql, quiltId)).settings;

/** What of it still holds beside a card: what was set after the card was chosen and its tensions tested. */
export const settingsBeside = (
  card: Pick<ChosenSetup, 'chosenAt' | 'provenAt'>,
  settings: ZoneSettings | undefined,
): Settings => standingSettings(settings, card.chosenAt.getTime(), card.provenAt?.getTime() ?? null);
