import 'reflect-metadata';
import type { ModeRule } from '@/core/stitch/regulate';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import { updateStudio } from '@/data/studio';
import type { Studio } from '@/data/types';
import { conflict, done, refuse, type Result } from './result';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { EachNum, FormKey, Maybe, Num, OneOf, Text, Version, Words } from './rules';
import { MEANWHILE, save } from './save';

const PICK = 'Pick one of the two sides.';
const SIZES = NEEDLE_SIZES.map((s) => s.nm);

/** The studio's settings and the schools it follows. */
export class SetPreferences {
  @FormKey() key!: string;
  @Version() version!: number;
  @Words(120, 'Give the studio its name.') name!: string;
  @Text(120) town!: string;
  @OneOf(['inch', 'metric', 'both'], 'Inch first, metric first, or both.') units!: Studio['units'];
  @Maybe() @Num(0, 168, 'Hours at the frame a week') hoursPerWeek?: number;
  @OneOf(['fine', 'same'], PICK) bobbinSchool!: Studio['bobbinSchool'];
  @OneOf(['obey', 'weigh'], PICK) labelRule!: Studio['labelRule'];
  @OneOf(['by-technique', 'idling', 'resting', 'manual'], PICK) modeRule!: ModeRule;
  @Num(3, 20, 'The floor, stitches per inch,') floorSpi!: number;
  @OneOf(['per-thread', 'one'], PICK) needleSchool!: Studio['needleSchool'];
  @Maybe() @OneOf(SIZES, `There is no such needle. Sizes: ${SIZES.join(', ')}.`) oneNeedleNm?: number | null;
  @OneOf(['by-curve', 'one'], PICK) spiSchool!: Studio['spiSchool'];
  @Maybe() @Num(3, 20, 'The one stitch length, per inch,') oneSpi?: number | null;
  @OneOf(['before-fills', 'everywhere', 'as-travel'], PICK) ditchSchool!: Studio['ditchSchool'];
  @Num(1.2, 20, 'Evenness') evenness!: number;
  @OneOf(['by-size', 'down', 'outline'], PICK) motifSchool!: Studio['motifSchool'];
  @OneOf(['lock', 'bury'], PICK) endsSchool!: Studio['endsSchool'];
  @OneOf(['least-time', 'one-way', 'down-and-up'], PICK) rollingSchool!: Studio['rollingSchool'];
  @OneOf(['both', 'gauge', 'dial'], PICK) tensionSchool!: Studio['tensionSchool'];
  @OneOf(['edges', 'edges-and-middle'], PICK) bastingSchool!: Studio['bastingSchool'];
  @OneOf(['ask', 'always', 'never'], PICK) prewashSchool!: Studio['prewashSchool'];
  @Num(0.5, 1, 'The share of a batting’s rating') gapShare!: number;
  @Num(0, 100_000, 'Metres that count as low') lowM!: number;
  @Num(0.1, 2, 'The share of a needle’s life') needleWarnShare!: number;
  @Num(0, 20, 'The margin, in inches,') marginIn!: number;
  @Num(0, 30, 'The test margin, in inches,') testMarginIn!: number;
  @IsArray({ message: 'Give the hours of all seven days.' })
  @ArrayMinSize(7, { message: 'Give the hours of all seven days.' })
  @ArrayMaxSize(7, { message: 'Give the hours of all seven days.' })
  @EachNum(0, 24, 'Hours')
  dayHours!: number[];
}

export const setPreferences = (input: unknown): Promise<Result<{ version: number }>> =>
  save<SetPreferences, { version: number }>('set-preferences', SetPreferences, input, async (tx, form) => {
    if (form.needleSchool === 'one' && form.oneNeedleNm == null)
      return refuse('Say which size is the trusted one.', 'oneNeedleNm');
    if (form.spiSchool === 'one' && form.oneSpi == null)
      return refuse('Say how many stitches per inch.', 'oneSpi');
    const settings = {
      ...form,
      hoursPerWeek: Math.min(
        100,
        form.dayHours.reduce((a, b) => a + b, 0),
      ),
      name: form.name.trim(),
      town: form.town.trim(),
      oneNeedleNm: form.oneNeedleNm ?? null,
      oneSpi: form.oneSpi ?? null,
    };
    return (await updateStudio(tx, settings, form.version))
      ? done({ version: form.version + 1 })
      : conflict(MEANWHILE);
  });
