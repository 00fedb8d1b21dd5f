import { expose } from 'comlink';
import { CoreError } from '@/core/notes';
import {
  measurePattern,
  type Pattern,
  patternLines,
  type PatternLines,
  type PatternRequest,
} from '@/core/pattern/pattern';

/** What a drawing comes to, or in words why it is none. */
export type PatternTold =
  | { ok: true; measured: Pattern; lines: PatternLines }
  | { ok: false; code: string; message: string; path: string };

/** Measures a drawing beside the page; whatever the file holds, nothing of it is run. */
function measure(request: PatternRequest): PatternTold {
  try {
    return { ok: true, measured: measurePattern(request), lines: patternLines(request) };
  } catch (error) {
    if (error instanceof CoreError)
      return { ok: false, code: error.code, message: error.message, path: error.path };
    throw error;
  }
}

expose(measure);
