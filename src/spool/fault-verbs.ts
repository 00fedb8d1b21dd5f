import { diagnose, faultBook, type FaultEpisode, type FaultEvidence } from '@/core/faults/diagnose';
import { CoreError } from '@/core/notes';
import { stitchPhoto } from '@/core/photo/stitch-photo';
import type { XY } from '@/core/geometry/polygon';
import * as s from './schema-parts';
import { type Verb, verb } from './verb';

const ids = s.list(s.text(80), { maxItems: 200 });
const evidence = {
  seen: ids,
  'absent?': ids,
  'facts?': { type: 'object', additionalProperties: s.text(80) } as const,
  'done?': s.list(s.object({ check: s.text(80), outcome: s.text(80) }), { maxItems: 200 }),
};

const nullable = <T extends object>(schema: T) => ({ ...schema, type: ['object', 'null'] });
/** Pictures of so many pixels at most. */
const MOST_PIXELS = 16_000_000;

/** Grey values from base64. @throws CoreError `bad-picture` when it is not base64, or not one value a pixel. */
function greyOf(base64: string, pixels: number): Uint8Array {
  if (!/^[A-Za-z0-9+/]*={0,2}$/.test(base64))
    throw new CoreError('bad-picture', 'The grey values are not base64.', 'grayBase64');
  const text = atob(base64);
  if (text.length !== pixels)
    throw new CoreError('bad-picture', 'The picture’s size and its grey values do not agree.', 'grayBase64');
  return Uint8Array.from(text, (c) => c.charCodeAt(0));
}

/** What lies behind a fault, and what a photograph of stitches tells. */
export const FAULT_VERBS: Record<string, Verb> = {
  diagnose: verb(
    'the likely causes of a stitch fault, and the check to make next',
    s.object({
      ...evidence,
      'setup?': { type: 'object', additionalProperties: {} },
      'learned?': s.list(
        s.object({ ...evidence, cause: s.text(80), 'setup?': { type: 'object', additionalProperties: {} } }),
        { maxItems: 20_000 },
      ),
    }),
    s.answer({
      causes: s.list(
        s.answer({
          id: s.text(),
          label: s.text(500),
          p: s.within(0, 1),
          remedy: s.list(s.text(500)),
          stopWork: s.bool,
          technician: s.bool,
        }),
      ),
      next: nullable(
        s.answer({
          check: s.text(),
          minutes: s.num,
          gainBits: s.num,
          steps: s.list(s.text(500)),
          'caution?': s.text(500),
        }),
      ),
      resolved: s.bool,
    }),
    ({ learned, ...told }: FaultEvidence & { learned?: FaultEpisode[] }) =>
      diagnose(told, faultBook(learned)),
  ),
  'stitch-photo': verb(
    'stitches per inch and evenness from a picture of a line of stitches',
    s.object({
      widthPx: s.within(1, 20_000),
      heightPx: s.within(1, 20_000),
      grayBase64: s.text(MOST_PIXELS * 2),
      mmPerPx: s.above0(10),
      path: s.list(
        { type: 'array', items: s.within(-100_000, 100_000), minItems: 2, maxItems: 2 },
        { minItems: 2 },
      ),
    }),
    s.answer({
      stitches: s.num,
      spi: s.num,
      meanMm: s.num,
      cvPct: s.num,
      longestMm: s.num,
      shortestMm: s.num,
      boundariesMm: s.list(s.num),
      trust: s.oneOf(['good', 'look', 'cannot']),
      'other?': s.answer({ stitches: s.num, spi: s.num, meanMm: s.num, cvPct: s.num }),
    }),
    (ask: { widthPx: number; heightPx: number; grayBase64: string; mmPerPx: number; path: XY[] }) => {
      const pixels = ask.widthPx * ask.heightPx;
      if (pixels > MOST_PIXELS)
        throw new CoreError(
          'too-large',
          'The picture is larger than 16 million pixels: cut out the line.',
          'widthPx',
        );
      const picture = { width: ask.widthPx, height: ask.heightPx, grey: greyOf(ask.grayBase64, pixels) };
      return stitchPhoto(picture, ask.mmPerPx, ask.path);
    },
  ),
};
