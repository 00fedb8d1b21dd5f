import 'reflect-metadata';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { PREPARED, type PreparedFields } from '@/core/fields/quilt';
import { fabrics } from '@/core/tables/fabrics';
import { writePrepared } from '@/data/prepared';
import type { Prepared } from '@/data/types';
import type { Preferences, Quilt } from '@/data/types';
import type { Context } from './context';
import { conflict, done, type Result } from './result';
import { asForm, EachId, Fields, FormKey, QuiltId, Version } from './rules';
import { MEANWHILE, save } from './save';

/** What is chosen on the page of backing and binding. */
@Fields(PREPARED)
export class KeepPrepared {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @IsArray({ message: 'Which quilts share it could not be read.' })
  @ArrayMaxSize(30, { message: 'At most thirty quilts on one backing.' })
  @EachId('A quilt that shares it is not known.')
  withQuilts!: string[];
}
type PreparedForm = KeepPrepared & PreparedFields;

export const keepPrepared = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<PreparedForm, { version: number }>(
    context,
    'keep-prepared',
    asForm<PreparedForm>(KeepPrepared),
    input,
    async (tx, { key: _, quiltId, version, layout, ...rest }) => {
      const kept = await writePrepared(tx, quiltId, version, {
        ...rest,
        battingHere: (rest.battingHere ?? '').trim(),
        backingHere: (rest.backingHere ?? '').trim(),
        layout: layout ?? null,
      });
      return kept === null ? conflict(MEANWHILE) : done({ version: kept });
    },
    { prepared_quilt_id_fkey: ['quiltId', 'This quilt is not known. Go back to the Rack.'] },
  );

/** What a studio usually takes for a quilt's backing and binding, until something is chosen. */
export function usualOf(
  quilt: Pick<Quilt, 'backingClothIn' | 'backingKind' | 'prewash'>,
  { marginIn, testMarginIn, prewashSchool }: Pick<Preferences, 'marginIn' | 'testMarginIn' | 'prewashSchool'>,
): Omit<Prepared, 'version'> {
  const cloth = fabrics.get(quilt.backingKind);
  return {
    clothIn: quilt.backingClothIn ?? (quilt.backingKind === 'sateen-wide' ? WIDE_IN : USUAL_IN),
    marginIn,
    testMarginIn,
    prewash:
      quilt.prewash ||
      prewashSchool === 'always' ||
      (prewashSchool !== 'never' && quilt.backingKind === 'flannel'),
    shrinkPct: cloth.shrinkPct,
    stretch: cloth.stretch >= 2,
    nap: ['plush', 'velvet', 'fleece'].includes(quilt.backingKind),
    stripIn: STRIP_IN,
    battingHere: '',
    backingHere: '',
    layout: null,
    withQuilts: [],
  };
}
const WIDE_IN = 108;
const USUAL_IN = 44;
const STRIP_IN = 2.5;
