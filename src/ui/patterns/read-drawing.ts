import type { PatternRequest } from '@/core/pattern/pattern';
import { readSharedPattern, type SharedPattern } from '@/core/pattern/shared-file';

/** A drawing with what its file says of it, or in words why it is none. */
export type ReadDrawing =
  | { ok: true; source: Pick<PatternRequest, 'svg' | 'dxf'>; given?: Omit<SharedPattern, 'svg'> }
  | { ok: false; message: string };

/** The largest drawing that is read, bytes: larger ones are scans, or made of something else than lines. */
const LARGEST = 4_000_000;
/** Remarks before a DXF drawing are looked through so far. */
const LONGEST_REMARK = 20_000;

/** The text of a drawing file, by what it holds and not by what it is called; or in words why it is none. */
export async function fileText(file: Blob & { name: string }): Promise<ReadDrawing> {
  if (file.size > LARGEST)
    return {
      ok: false,
      message: `${file.name} has ${(file.size / 1e6).toFixed(0)} MB; a drawing of lines has at most 4.`,
    };
  const text = await file.text();
  const shared = readSharedPattern(text);
  if (typeof shared === 'string') return { ok: false, message: `${file.name}: ${shared}` };
  if (shared) {
    const { svg, ...given } = shared;
    return { ok: true, source: { svg }, given };
  }
  // A licence or a document type may stand before the drawing, however long.
  if (/<svg[\s>]/iu.test(text)) return { ok: true, source: { svg: text } };
  if (/^\s*(999[\s\S]*?)?0\s*\r?\n\s*section/u.test(text.slice(0, LONGEST_REMARK).toLowerCase()))
    return { ok: true, source: { dxf: text } };
  return {
    ok: false,
    message: `${file.name} is neither an SVG nor a DXF drawing, nor a pattern that was given away.`,
  };
}
