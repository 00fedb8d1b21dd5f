import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import { PATTERN, type PatternFields } from '@/core/fields/pattern';
import { stored } from '@/core/fields/stored';
import { CoreError } from '@/core/notes';
import { atWidth, layPattern, openBetween, type PatternLayout, type PatternUnit } from '@/core/pattern/lay';
import { measureAmongRepeats, patternLines, type PatternRequest } from '@/core/pattern/pattern';
import {
  insertPattern,
  type PatternMeasured,
  readPattern,
  updatePattern,
  type ZonePattern,
} from '@/data/patterns';
import { lockQuilt } from '@/data/quilts';
import { readGeometry, setWork, type WorkBefore } from '@/data/zones';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { asForm, Fields, FormKey, Id, Maybe, Num, OneOf, QuiltId, Text, Version, Whole, Yes } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

const NAMES: Meanings = { pattern_name_key: ['name', 'Another pattern already has this name.'] };
const NOT_KNOWN = 'This pattern is not known any more. Reload the page.';

/** A pattern taken in from a drawing, or one that is called otherwise or sewn wider from now on. */
@Fields(PATTERN)
export class KeepPattern {
  @FormKey() key!: string;
  /** Left out for a new one. */
  @Maybe() @Id(NOT_KNOWN) id?: string | null;
  @Version() version!: number;
  /** The drawing of a new one: one of the two. */
  @Maybe() @Text(4_000_000) svg?: string | null;
  @Maybe() @Text(4_000_000) dxf?: string | null;
}
type PatternForm = KeepPattern & PatternFields;

/** Coordinates are kept to a five-thousandth of a repeat's width, which is finer than any hand. */
const FINE = 5000;
const kept = (n: number) => Math.round(n * FINE) / FINE;

/** What a drawing comes to: its lines at width 1, and what is measured of them at the width asked for. */
export function takenIn(request: PatternRequest): { unit: PatternUnit; measured: PatternMeasured } {
  // What lies open is told of a pattern among its own repeats.
  const { lengthIn, widthIn, heightIn, starts, minRadiusIn, points, sewnTwicePct, largestGapIn } =
    measureAmongRepeats(request);
  const lines = patternLines(request);
  return {
    unit: {
      runs: lines.runs.map((run) => run.map(([x, y]) => [kept(x / widthIn), kept(y / widthIn)] as const)),
      heightShare: heightIn / widthIn,
      goesOn: lines.goesOn,
    },
    measured: { lengthIn, heightIn, starts, minRadiusIn, points, sewnTwicePct, largestGapIn },
  };
}

/** Takes a pattern in, or changes what it is called and how wide it is sewn. */
export const keepPattern = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<PatternForm, { id: string }>(
    context,
    'keep-pattern',
    asForm<PatternForm>(KeepPattern),
    input,
    async (tx, form) => {
      const fields = stored(PATTERN, form);
      if (!form.id) {
        const drawing = form.svg ? { svg: form.svg } : form.dxf ? { dxf: form.dxf } : null;
        if (!drawing) return refuse('Choose a drawing first: SVG or DXF.', 'svg');
        try {
          const id = uuidv7();
          await insertPattern(tx, { ...fields, id, ...takenIn({ ...drawing, widthIn: fields.widthIn }) });
          return done({ id });
        } catch (error) {
          if (error instanceof CoreError) return refuse(error.message, error.path);
          throw error;
        }
      }
      const was = await readPattern(tx, form.id);
      if (!was) return refuse(NOT_KNOWN, 'id');
      const measured = {
        ...was.measured,
        ...atWidth({ ...was.measured, widthIn: was.widthIn }, fields.widthIn),
        heightIn: was.unit.heightShare * fields.widthIn,
      };
      return (await updatePattern(tx, form.id, { ...fields, measured }, form.version))
        ? done({ id: form.id })
        : conflict(MEANWHILE);
    },
    NAMES,
  );

/** How a pattern is laid in a zone. */
class Layout {
  @Id('Pick a pattern.') patternId!: string;
  @Num(0.25, 200, 'The width of a repeat, in inches,') widthIn!: number;
  @Num(-50, 50, 'Between the rows, inches') rowGapIn!: number;
  @Num(0, 1, 'How far every other row is shifted') offset!: number;
  @Yes() mirrored!: boolean;
  @OneOf(['across', 'down'], 'Rows run across the quilt, or down it.') direction!: PatternLayout['direction'];
}

/** The pattern of a zone as it stood, laid there again by an undo. */
export class LaidBefore extends Layout {
  @Whole(0, 1_000_000, 'Starts') starts!: number;
  @Whole(0, 100_000, 'Rows') rows!: number;
  @Whole(0, 100_000, 'Repeats') columns!: number;
}

/** Quilts a zone with a pattern, laid as it is said. */
export class QuiltPattern extends Layout {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Id('This zone is not known. Reload the page.') zoneId!: string;
  @Version() version!: number;
}

/** Spacing and curves are told to a hundredth of an inch. */
const fine = (n: number) => Math.round(n * 100) / 100;

export const quiltPattern = (context: Context, input: unknown): Promise<Result<{ before: WorkBefore }>> =>
  save<QuiltPattern, { before: WorkBefore }>(
    context,
    'quilt-pattern',
    QuiltPattern,
    input,
    async (tx, form) => {
      await lockQuilt(tx, form.quiltId);
      const [pattern, geometry] = await Promise.all([
        readPattern(tx, form.patternId),
        readGeometry(tx, form.zoneId),
      ]);
      if (!pattern) return refuse(NOT_KNOWN, 'patternId');
      if (!geometry) return refuse('This zone is no longer on the quilt. Reload the page.', 'zoneId');
      const { widthIn, rowGapIn, offset, mirrored, direction } = form;
      try {
        const laid = layPattern(pattern.unit, geometry, { widthIn, rowGapIn, offset, mirrored, direction });
        if (laid.lengthIn <= 0) return refuse('Nothing of the pattern lies in this zone.', 'widthIn');
        const at = atWidth({ ...pattern.measured, widthIn: pattern.widthIn }, widthIn);
        const own: ZonePattern = {
          patternId: pattern.id,
          widthIn,
          rowGapIn,
          offset,
          mirrored,
          direction,
          starts: laid.starts,
          rows: laid.rows,
          columns: laid.columns,
        };
        const before = await setWork(tx, form.quiltId, {
          zoneId: form.zoneId,
          version: form.version,
          technique: 'guided-pattern',
          spacingIn: Math.max(0.05, fine(openBetween(at.largestGapIn, form))),
          smallestRadiusIn: at.minRadiusIn === null ? null : Math.max(0.01, fine(at.minRadiusIn)),
          lengthIn: fine(laid.lengthIn),
          pattern: own,
        });
        return before ? done({ before }) : conflict(MEANWHILE);
      } catch (error) {
        if (error instanceof CoreError) return refuse(error.message, error.path);
        throw error;
      }
    },
  );
