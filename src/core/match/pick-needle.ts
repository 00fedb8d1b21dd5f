import { type NeedleChoice, type SizeVerdict, chooseNeedle } from '../needle/needle';
import { fibres } from '../tables/fibres';
import { type Eye, EYES, NEEDLE_SIZES, type Point } from '../tables/needles';
import type { Sandwich } from '../sandwich/sandwich';
import type { MatchNeedle, MatchThread } from './request';

export interface PickedNeedle {
  nm: number;
  us: number | null;
  eye: Eye;
  point: Point;
  /** The point the cloth asks for, when the drawer has no such needle in this size. */
  wantedPoint: Point | null;
  size: SizeVerdict;
  choice: NeedleChoice;
}

const OTHER_POINT = 0.3;

/** The best needle over both eyes and all points owned; null with the choices made when none suits. */
export function pickNeedle(
  thread: MatchThread,
  spi: number,
  sandwich: Sandwich,
  needles: readonly MatchNeedle[] | undefined,
  labelRule: 'obey' | 'weigh',
): { picked: PickedNeedle | null; refusal: string | null } {
  let best: { picked: PickedNeedle; cost: number } | null = null;
  let refusal: string | null = null;
  const eyes = needles ? EYES : [fibres.get(thread.fibre, 'threads.fibre').eye];
  for (const eye of eyes) {
    const drawer = needles?.filter((n) => n.eye === eye);
    if (drawer?.length === 0) continue;
    const owned = drawer?.map((n) => n.nm) ?? NEEDLE_SIZES.map((s) => s.nm);
    const choice = chooseNeedle({ thread, spi, sandwich, owned, eye, labelRule });
    if (!choice.best) {
      refusal ??= choice.cautions[0]?.text ?? null;
      continue;
    }
    const { nm, us, point: wanted } = choice.best;
    const points = drawer
      ?.filter((n) => n.nm === nm)
      .map((n) => n.point)
      .sort() ?? [wanted];
    const point = points.includes(wanted) ? wanted : points[0]!;
    const size = choice.sizes.find((s) => s.nm === nm)!;
    const cost = size.penalty + (point === wanted ? 0 : OTHER_POINT);
    if (!best || cost < best.cost)
      best = {
        cost,
        picked: { nm, us, eye, point, wantedPoint: point === wanted ? null : wanted, size, choice },
      };
  }
  return { picked: best?.picked ?? null, refusal: best ? null : refusal };
}
