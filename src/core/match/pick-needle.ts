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
  /** The point the cloth cannot do without, when the drawer has no such needle in this size. */
  wantedPoint: Point | null;
  size: SizeVerdict;
  choice: NeedleChoice;
}

/** A thread thicker than this wants a large eye where the drawer has one, tex. */
const LARGE_EYE_TEX = 60;
/** A point is taken as the cloth asks, else sharp, else what there is: a ball point last. */
const POINT_ORDER: readonly Point[] = ['sharp', 'micro-sharp', 'light-ball'];

/** The eye a thread should run through: large for what frays or is thick, else standard. */
export const wantedEye = (thread: Pick<MatchThread, 'tex' | 'fibre'>): Eye =>
  fibres.get(thread.fibre, 'threads.fibre').eye === 'large' || thread.tex > LARGE_EYE_TEX
    ? 'large'
    : 'standard';

/** The best needle of the drawer, its eye first; null with the reason when none suits. */
export function pickNeedle(
  thread: MatchThread,
  spi: number,
  sandwich: Sandwich,
  needles: readonly MatchNeedle[] | undefined,
  labelRule: 'obey' | 'weigh',
  more: { basteInPerS?: number; freeMm?: number } = {},
): { picked: PickedNeedle | null; refusal: string | null } {
  let refusal: string | null = null;
  const first = wantedEye(thread);
  const eyes = needles ? [first, ...EYES.filter((e) => e !== first)] : [first];
  for (const eye of eyes) {
    const drawer = needles?.filter((n) => n.eye === eye);
    if (drawer?.length === 0) continue;
    const owned = drawer?.map((n) => n.nm) ?? NEEDLE_SIZES.map((s) => s.nm);
    const choice = chooseNeedle({ thread, spi, sandwich, owned, eye, labelRule, ...more });
    if (!choice.best) {
      refusal ??= choice.cautions[0]?.text ?? null;
      continue;
    }
    const { nm, us, point: wanted } = choice.best;
    const points = drawer?.filter((n) => n.nm === nm).map((n) => n.point) ?? [wanted];
    const point = points.includes(wanted) ? wanted : POINT_ORDER.find((p) => points.includes(p))!;
    const missed = point !== wanted && (wanted === 'light-ball' || point === 'light-ball');
    const size = choice.sizes.find((s) => s.nm === nm)!;
    return {
      picked: { nm, us, eye, point, wantedPoint: missed ? wanted : null, size, choice },
      refusal: null,
    };
  }
  return { picked: null, refusal };
}
