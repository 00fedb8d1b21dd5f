import { measurePattern } from '@/core/pattern/pattern';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

/** The longest drawing that is read, letters. */
const LONGEST = 4_000_000;
const times: s.Schema = { type: 'integer', minimum: 1, maximum: 200 };

/** What drawn patterns ask for. */
export const PATTERN_VERBS: Record<string, Verb> = {
  pattern: verb(
    'what a drawn pattern asks for at its size: length, starts, curves, points, gaps, stitches per inch',
    s.object({
      'svg?': s.text(LONGEST),
      'dxf?': s.text(LONGEST),
      'widthIn?': s.within(0.1, 400),
      'heightIn?': s.within(0.1, 400),
      'repeat?': s.object({ columns: times, rows: times }),
      'battingId?': s.battingId,
      'yarnMm?': s.above0(50),
    }),
    s.answer({
      lengthIn: s.num,
      widthIn: s.num,
      heightIn: s.num,
      starts: s.num,
      minRadiusIn: s.nullable('number'),
      points: s.num,
      sewnTwicePct: s.num,
      largestGapIn: s.num,
      spi: s.num,
      'couching?': s.object({ fit: s.bool, codes: s.list(s.text()) }),
    }),
    measurePattern,
  ),
};
