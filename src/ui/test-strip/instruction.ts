import { quarterTurns } from '@/core/tension/turns';
import type { TensionNext } from '@/core/tension/next';

export interface Instruction {
  title: string;
  /** What moves, from and to, gf; null when nothing moves. */
  move: { from: number; to: number } | null;
  /** How far to turn, in words. */
  turn: string;
}

const halves = (turns: number): string => {
  const half = Math.max(0.5, Math.round(Math.abs(turns) * 2) / 2);
  const whole = Math.floor(half);
  const words = `${whole || ''}${half % 1 ? '½' : ''}`;
  return half === 1 ? 'a quarter turn' : half === 0.5 ? 'half a quarter turn' : `${words} quarter turns`;
};

/** The one thing to do next, in the words of someone at the machine. */
export function instructionOf(
  next: Pick<TensionNext, 'change' | 'topGf' | 'bobbinGf' | 'done'>,
  last: { topGf: number; bobbinGf: number } | undefined,
): Instruction {
  if (!last)
    return {
      title: 'Set the bobbin first, then the top',
      move: null,
      turn: 'Then sew on the margin: a line away first, then back, across and a curve.',
    };
  if (next.done) return { title: 'Balanced: leave it so', move: null, turn: '' };
  if (next.change === 'keep') return { title: 'Leave both as they are', move: null, turn: '' };
  const [act, part] = next.change.split('-') as ['loosen' | 'tighten', 'top' | 'bobbin'];
  const [from, to] = part === 'top' ? [last.topGf, next.topGf] : [last.bobbinGf, next.bobbinGf];
  return {
    title: `${act === 'loosen' ? 'Loosen' : 'Tighten'} ${part} tension`,
    move: { from, to },
    turn: `about ${halves(quarterTurns(from, to))}, until your dial is calibrated`,
  };
}
