import 'reflect-metadata';
import { type PreferenceFields, PREFERENCES } from '@/core/fields/preferences';
import { stored } from '@/core/fields/stored';
import { isCurrency } from '@/core/units/money';
import { updatePreferences } from '@/data/preferences';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { asForm, Fields, FormKey, Version } from './rules';
import { MEANWHILE, save } from './save';

/** The studio's settings and the schools it follows. */
@Fields(PREFERENCES)
export class SetPreferences {
  @FormKey() key!: string;
  @Version() version!: number;
}
type PreferencesForm = SetPreferences & PreferenceFields;

export const setPreferences = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<PreferencesForm, { version: number }>(
    context,
    'set-preferences',
    asForm<PreferencesForm>(SetPreferences),
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
      const settings = stored(PREFERENCES, form);
      return (await updatePreferences(tx, settings, form.version))
        ? done({ version: form.version + 1 })
        : conflict(MEANWHILE);
    },
  );
