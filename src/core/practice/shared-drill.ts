import { readShared, sharedFile } from '../exchange/shared';
import type { PathPoint } from '../machine/regulator';
import { linesSvg } from '../pattern/lay';
import { type Mode, MODES } from '../stitch/machine';
import { DRILLS, FIELD_IN } from './drills';

/** A drill with the line somebody drew of it, to be sewn after. */
export interface SharedDrill {
  drill: string;
  mode: Mode;
  spi: number;
  path: readonly PathPoint[];
}

const KIND = 'tidy-spool-drill';
const MOST_POINTS = 20_000;

/** The file of a drill: how it was set, where the hand was and when, and the line as a drawing. */
export const sharedDrillFile = (d: SharedDrill): string =>
  sharedFile(KIND, {
    drill: d.drill,
    mode: d.mode,
    spi: d.spi,
    path: d.path,
    svg: linesSvg([d.path.map((p) => [p.xIn, p.yIn] as const)], [0, 0], FIELD_IN.widthIn, FIELD_IN.heightIn),
  });

const isPoint = (p: unknown): p is PathPoint => {
  const { tMs, xIn, yIn } = (p ?? {}) as Record<string, unknown>;
  return (
    [tMs, xIn, yIn].every((n) => typeof n === 'number' && Number.isFinite(n)) &&
    Math.abs(xIn as number) <= 60 &&
    Math.abs(yIn as number) <= 60
  );
};

/** A drill somebody gave, read again; null where a text is none, words where it cannot be taken in. */
export function readSharedDrill(text: string): SharedDrill | string | null {
  const read = readShared(text, KIND, 'drill');
  if (read === null || typeof read === 'string') return read;
  const { drill, mode, spi, path } = read;
  if (typeof drill !== 'string' || !DRILLS.find(drill)) return 'This drill is not known here.';
  if (!MODES.includes(mode as Mode) || typeof spi !== 'number' || !(spi >= 3 && spi <= 25))
    return 'This drill is not whole: how it was set is missing.';
  if (
    !Array.isArray(path) ||
    path.length < 10 ||
    path.length > MOST_POINTS ||
    !path.every(isPoint) ||
    path.some((p, i) => i > 0 && p.tMs <= path[i - 1]!.tMs)
  )
    return 'There is no line in this drill that can be sewn.';
  return { drill, mode: mode as Mode, spi, path: path.map(({ tMs, xIn, yIn }) => ({ tMs, xIn, yIn })) };
}
