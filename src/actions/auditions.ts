import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import { LOOKS } from '@/core/audition/draw';
import { isOpenQuad } from '@/core/audition/perspective';
import { PATTERNED } from '@/core/pattern/lay';
import type { XY } from '@/core/geometry/polygon';
import { dropAudition, putAudition, setCorners } from '@/data/auditions';
import { readPattern } from '@/data/patterns';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { EachOf, FormKey, Id, Maybe, Num, OneOf, QuiltId, Whole } from './rules';
import { MEANWHILE, save } from './save';

const DRAWN = [...Object.keys(LOOKS), PATTERNED];
const LOOK_IDS = [
  ...new Set([...Object.values(LOOKS).flatMap((looks) => looks.map((l) => l.id)), 'pattern']),
];

const NO_PATTERN = 'This pattern is not known any more. Reload the page.';

class Side {
  @OneOf(DRAWN, 'Pick a technique that is drawn.') technique!: string;
  @OneOf(LOOK_IDS, 'Pick how it looks.') look!: string;
  @Num(0.05, 200, 'The spacing, in inches,') spacingIn!: number;
  @Whole(1, 1_000_000, 'Which drawing') seed!: number;
  @Maybe() @Id(NO_PATTERN) patternId?: string | null;
}

export class KeepAudition {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Id('This zone is not known. Reload the page.') zoneId!: string;
  /** Left out: nothing is shown to the client any more. */
  @Maybe()
  @IsArray({ message: 'The two ways could not be read.' })
  @ArrayMinSize(2, { message: 'Two ways are shown side by side.' })
  @ArrayMaxSize(2, { message: 'Two ways are shown side by side.' })
  @EachOf(() => Side)
  sides?: Side[] | null;
}

const looksOf = (technique: string): readonly string[] =>
  technique === PATTERNED ? ['pattern'] : LOOKS[technique]!.map((l) => l.id);

/** Keeps two ways to quilt a zone for the client to choose from, or lets go of them. */
export const keepAudition = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<KeepAudition, { id: string }>(context, 'keep-audition', KeepAudition, input, async (tx, form) => {
    if (!form.sides)
      return (await dropAudition(tx, form.quiltId, form.zoneId))
        ? done({ id: form.zoneId })
        : conflict(MEANWHILE);
    const sides = form.sides.map(({ technique, look, spacingIn, seed, patternId }) => ({
      technique,
      look,
      spacingIn,
      seed,
      ...(technique === PATTERNED && { patternId }),
    }));
    const strange = sides.findIndex((s) => !looksOf(s.technique).includes(s.look));
    if (strange >= 0) return refuse('Pick how it looks.', `sides.${strange}.look`);
    for (const [i, { technique, patternId }] of sides.entries())
      if (technique === PATTERNED && !(patternId && (await readPattern(tx, patternId))))
        return refuse(NO_PATTERN, `sides.${i}.patternId`);
    return (await putAudition(tx, form.quiltId, form.zoneId, sides))
      ? done({ id: form.zoneId })
      : conflict(MEANWHILE);
  });

class Corner {
  @Num(-0.5, 1.5, 'A corner') x!: number;
  @Num(-0.5, 1.5, 'A corner') y!: number;
}

export class PlacePhotograph {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Id('This photograph is not known any more. Reload the page.') photographId!: string;
  @IsArray({ message: 'Mark the four corners.' })
  @ArrayMinSize(4, { message: 'Mark the four corners.' })
  @ArrayMaxSize(4, { message: 'A quilt has four corners.' })
  @EachOf(() => Corner)
  corners!: Corner[];
}

/** Says where the quilt's four corners lie in a photograph, so that the map lies on it. */
export const placePhotograph = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<PlacePhotograph, { id: string }>(
    context,
    'place-photograph',
    PlacePhotograph,
    input,
    async (tx, form) => {
      const corners = form.corners.map(({ x, y }): XY => [x, y]);
      if (!isOpenQuad(corners))
        return refuse(
          'The four corners must go round the quilt, none on the line between two others.',
          'corners',
        );
      return (await setCorners(tx, form.quiltId, form.photographId, corners))
        ? done({ id: form.photographId })
        : conflict(MEANWHILE);
    },
  );
