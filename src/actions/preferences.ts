import 'reflect-metadata';
import { PREFERENCES } from '@/core/fields/preferences';
import { stored } from '@/core/fields/stored';
import { isCurrency } from '@/core/units/money';
import { type PreferenceFields, updatePreferences } from '@/data/preferences';
import type { Preferences } from '@/data/types';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { Fields, FormKey, Version } from './rules';
import { MEANWHILE, save } from './save';

/** The studio's settings and the schools it follows. */
@Fields(PREFERENCES)
export class SetPreferences {
  @FormKey() key!: string;
  @Version() version!: number;
  currency!: string;
  needleSchool!: Preferences['needleSchool'];
  oneNeedleNm?: number | null;
  spiSchool!: Preferences['spiSchool'];
  oneSpi?: number | null;
}

export const setPreferences = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<SetPreferences, { version: number }>(
    context,
    'set-preferences',
    SetPreferences,
    input,
    async (tx, form) => {
      if (form.needleSchool === 'one' && form.oneNeedleNm == null)
        return refuse('Say which size is the trusted one.', 'oneNeedleNm');
      if (form.spiSchool === 'one' && form.oneSpi == null)
        return refuse('Say how many stitches per inch.', 'oneSpi');
      if (!isCurrency(form.currency))
        return refuse(
          `“${form.currency}” is no currency that is known. Write its three letters, such as EUR.`,
          'currency',
        );
      const settings = stored(PREFERENCES, form) as unknown as PreferenceFields;
      return (await updatePreferences(tx, settings, form.version))
        ? done({ version: form.version + 1 })
        : conflict(MEANWHILE);
    },
  );
