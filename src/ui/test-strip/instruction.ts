import { placeOn, type Scales, wayBetween } from '@/core/machine/scales';
import type { Preferences } from '@/data/types';
import type { TensionNext } from '@/core/tension/next';

type TensionSchool = Preferences['tensionSchool'];

export interface Instruction {
  title: string;
  /** What moves, from and to, gf; null when nothing moves. */
  move: { from: number; to: number } | null;
  /** How far to turn, in words. */
  turn: string;
}

/** The one thing to do next, in the words of someone at the machine. */
export function instructionOf(
  next: Pick<TensionNext, 'change' | 'topGf' | 'bobbinGf' | 'done'>,
  last: { topGf: number; bobbinGf: number } | undefined,
  measured: Scales,
  school: TensionSchool = 'both',
): Instruction {
  // Who goes by the gauge alone is told grams and nothing else.
  const scales = school === 'gauge' ? {} : measured;
  if (!last)
    return {
      title: 'Set the bobbin first, then the top',
      move: null,
      turn: `${startOn(scales, next)}Then sew on the margin: a line away first, then back, across and a curve.`,
    };
  if (next.done) return { title: 'Balanced: leave it so', move: null, turn: '' };
  if (next.change === 'keep') return { title: 'Leave both as they are', move: null, turn: '' };
  const [act, part] = next.change.split('-') as ['loosen' | 'tighten', 'top' | 'bobbin'];
  const [from, to] = part === 'top' ? [last.topGf, next.topGf] : [last.bobbinGf, next.bobbinGf];
  return {
    title: `${act === 'loosen' ? 'Loosen' : 'Tighten'} ${part} tension`,
    move: { from, to },
    turn:
      school === 'gauge'
        ? ''
        : `${wayBetween(scales, part === 'top' ? 'top-dial' : 'bobbin-turns', from, to)}${
            scales[part === 'top' ? 'top-dial' : 'bobbin-turns']
              ? ', by your calibration'
              : ', until your dial is calibrated'
          }`,
  };
}

/** Where dial and screw stand to begin with, where they were measured. */
function startOn(scales: Scales, next: Pick<TensionNext, 'topGf' | 'bobbinGf'>): string {
  const bobbin = placeOn(scales, 'bobbin-turns', next.bobbinGf);
  const top = placeOn(scales, 'top-dial', next.topGf);
  const said = [bobbin && `bobbin ${bobbin}`, top && `top ${top}`].filter(Boolean).join(', ');
  return said && `By your calibration: ${said}. `;
}
