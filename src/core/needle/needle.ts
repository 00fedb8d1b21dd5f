import type { Caution, Reason } from '../notes';
import { safety } from '../cautions/cautions';
import { fabrics } from '../tables/fabrics';
import { features as featureTable } from '../tables/features';
import { fibres } from '../tables/fibres';
import { EYE_SHARE, type Eye, NEEDLE_SIZES, type Point, usSize } from '../tables/needles';
import { firmness, holeMemory, type Sandwich } from '../sandwich/sandwich';
import type { Thread } from '../thread/thread';
import { EYE_BEST, EYE_USABLE, eyeRatio } from './eye';
import {
  basteFlexIndex,
  feltFlexIndex,
  FLEX_BEST,
  FLEX_LAST_RESORT,
  FLEX_SAID,
  FLEX_USABLE,
  flexIndex,
} from './flex';
import { KEEPS_HOLES, perforation, PERFORATION_REFUSE, PERFORATION_WARN } from './perforation';

export type Verdict = 'best' | 'usable' | 'refused';

export interface NeedleRequest {
  thread: Thread & { labelNeedleNm?: readonly [number, number] };
  spi: number;
  sandwich: Sandwich;
  /** Sizes in the drawer; all sizes when left out. */
  owned?: readonly number[];
  eye?: Eye;
  /** The maker's note on the cone rules ('obey') or advises ('weigh'). */
  labelRule?: 'obey' | 'weigh';
  /** Hand speed of single basting stitches, in/s: then the travel between them does not bend the needle. */
  basteInPerS?: number;
  /** How far the needle sticks out, mm; left out: as on a frame. */
  freeMm?: number;
}

export interface SizeVerdict {
  nm: number;
  us: number | null;
  eyeRatio: number;
  flexIndex: number;
  perforation: number;
  verdict: Verdict;
  /** How far from ideal, 0 best; beyond 10 refused. */
  penalty: number;
  /** The parts of the penalty that have a name of their own: how the thread runs, bends and marks. */
  parts: { eye: number; flex: number; holes: number };
}

export interface NeedleChoice {
  best: { nm: number; us: number | null; point: Point } | null;
  sizes: SizeVerdict[];
  reasons: Reason[];
  cautions: Caution[];
}

const REFUSED = 10;
/** A roomy eye is half the fault that a tight one is. */
const ROOMY = 0.5;
/** Among equals the thinner blade marks the cloth less. */
const PER_HUNDREDTH_MM = 0.002;
const OUTSIDE_LABEL = 0.8;
/** No blade thicker than this is advised: for thread that wants more, the answer is a large eye. */
const THICKEST_NM = 120;
/** Fine cloth keeps a needle of these sizes where the thread runs in its eye, whatever the flex. */
const FINE_CLOTH_NM = [70, 90] as const;
/** A size that is best in every way is taken before a thinner one that is only usable. */
const LESS_THAN_BEST = 0.1;

/** 0 inside the best window, 1 at the edge of the usable one, growing on outside it. */
const outside = (value: number, [lo, hi]: readonly [number, number], [min, max]: readonly [number, number]) =>
  value < lo ? (lo - value) / (lo - min) : value > hi ? (value - hi) / (max - hi) : 0;

function judge(nm: number, request: NeedleRequest, firm: number, memory: number): SizeVerdict {
  const eye = request.eye ?? 'standard';
  const ratio = eyeRatio(request.thread, nm, eye);
  const flex =
    request.basteInPerS === undefined
      ? flexIndex(nm, request.spi, firm, request.freeMm)
      : basteFlexIndex(nm, request.basteInPerS, firm, request.freeMm);
  const holes = perforation(nm, request.spi);
  const felt =
    request.basteInPerS === undefined ? feltFlexIndex(nm, request.spi, firm, request.freeMm) : flex;
  const off = outside(ratio, EYE_BEST, EYE_USABLE);
  // A little room is hardly felt: it grows with the square, and at its limit is half of what tight is.
  const eyePenalty = ratio < EYE_BEST[0] ? ROOMY * off ** 2 : off;
  const fine = inRange(nm, FINE_CLOTH_NM) && isFineCloth(request.sandwich);
  const flexPenalty = felt <= FLEX_BEST || fine ? 0 : (felt - FLEX_BEST) / (FLEX_USABLE - FLEX_BEST);
  const keeps = memory >= KEEPS_HOLES;
  const holePenalty = keeps ? Math.max(0, (holes - 0.45) / (PERFORATION_WARN - 0.45)) * 0.5 : 0;
  const refused =
    ratio < EYE_USABLE[0] ||
    ratio > EYE_USABLE[1] ||
    (felt > FLEX_LAST_RESORT && !fine) ||
    (keeps && holes > PERFORATION_REFUSE);
  const best = eyePenalty === 0 && flexPenalty === 0 && !(keeps && holes > PERFORATION_WARN);
  const marks = PER_HUNDREDTH_MM * nm * (1 + memory / 2);
  const lesser = best ? 0 : LESS_THAN_BEST;
  // Between 1.6 and 2 a blade is taken only when nothing better is owned.
  const lastResort = felt > FLEX_USABLE && !fine ? 3 : 0;
  return {
    nm,
    us: usSize(nm),
    eyeRatio: ratio,
    flexIndex: flex,
    perforation: holes,
    verdict: refused ? 'refused' : best ? 'best' : 'usable',
    penalty: (refused ? REFUSED : 0) + eyePenalty + flexPenalty + holePenalty + lesser + lastResort + marks,
    parts: { eye: eyePenalty, flex: flexPenalty + lastResort, holes: holePenalty },
  };
}

/** Sheers and the like: a thick blade marks them more than a thin one bends. */
const isFineCloth = ({ top }: Sandwich): boolean => top.some((t) => fabrics.get(t.fabric).fineNeedle);

/** The point the cloths ask for, as their rows advise; the first in this order where they differ. */
export function pointFor(top: readonly string[]): Point {
  const points = top.map((id) => fabrics.get(id, 'top').point);
  return (['light-ball', 'micro-sharp'] as const).find((p) => points.includes(p)) ?? 'sharp';
}

const inRange = (nm: number, range: readonly [number, number]) => nm >= range[0] && nm <= range[1];
const lowest = (sizes: readonly SizeVerdict[], cost: (s: SizeVerdict) => number) =>
  sizes.reduce<SizeVerdict | null>((best, s) => (best === null || cost(s) < cost(best) ? s : best), null);

/**
 * The needle for a thread, a stitch length and a sandwich: every size judged by eye, flex and hole,
 * and the best of those owned. `best` is null (caution `none-suitable`) when each is refused.
 * `spi` above 0. First-order estimate; the constants are judgements kept in their own files.
 * @example chooseNeedle({ thread: { tex: 25, fibre: 'polyester-filament' }, spi: 11,
 *   sandwich: { top: [{ fabric: 'quilting-cotton' }], battingId: 'cotton-80-20' } }).best?.nm // 100
 */
export function chooseNeedle(request: NeedleRequest): NeedleChoice {
  const { thread, sandwich, labelRule = 'obey' } = request;
  const topIds = sandwich.top.map((t) => t.fabric);
  const firm = firmness(sandwich);
  const memory = holeMemory(topIds);
  const owned = request.owned ?? NEEDLE_SIZES.map((s) => s.nm);
  const sizes = [...new Set(owned)].sort((a, b) => a - b).map((nm) => judge(nm, request, firm, memory));
  const usable = sizes.filter((s) => s.verdict !== 'refused' && s.nm <= THICKEST_NM);
  const slim = isFineCloth(sandwich) ? usable.filter((s) => inRange(s.nm, FINE_CLOTH_NM)) : [];
  const allowed = slim.length > 0 ? slim : usable;
  const model = lowest(allowed, (s) => s.penalty);
  const reasons: Reason[] = [];
  const cautions: Caution[] = [];

  let chosen = model;
  const label = thread.labelNeedleNm;
  if (label) {
    const obeyed = allowed.filter((s) => inRange(s.nm, label));
    chosen =
      labelRule === 'obey' && obeyed.length > 0
        ? lowest(obeyed, (s) => s.penalty)
        : lowest(allowed, (s) => s.penalty + (inRange(s.nm, label) ? 0 : OUTSIDE_LABEL));
    if (model && chosen && (model.nm !== chosen.nm || !inRange(chosen.nm, label)))
      reasons.push({
        code: 'label-differs',
        text: `The cone asks for Nm ${label[0]} to ${label[1]}; by eye and flex alone Nm ${model.nm} would be best. Nm ${chosen.nm} is taken.`,
      });
  }
  const up = (sandwich.features ?? []).reduce(
    (n, f) => Math.max(n, featureTable.get(f, 'features').largerNeedle),
    0,
  );
  // Knits stay at the size their stretch allows.
  if (up > 0 && chosen && !topIds.some((id) => fabrics.get(id).knit)) {
    const from = chosen;
    const thicker = allowed.filter(
      (s) => s.nm > from.nm && (!label || labelRule !== 'obey' || inRange(s.nm, label)),
    );
    chosen = thicker[up - 1] ?? chosen;
    if (chosen !== from)
      reasons.push({
        code: 'abrasive-larger',
        text: `One size up, to Nm ${chosen.nm}: a wider eye spares the thread where it is cut at.`,
      });
  }
  if (!chosen) {
    cautions.push({
      code: 'none-suitable',
      severity: 'stop',
      text: `No needle in the drawer suits this thread and fabric: ${buyAdvice(request, firm, memory)}`,
    });
    return { best: null, sizes, reasons, cautions };
  }
  explain(chosen, request, firm, memory, reasons, cautions);
  if (
    request.basteInPerS === undefined &&
    flexIndex(chosen.nm, request.spi, firmness(sandwich, true), request.freeMm) > FLEX_USABLE
  )
    cautions.push(safety('needle-break-eyes'));
  return { best: { nm: chosen.nm, us: chosen.us, point: pointFor(topIds) }, sizes, reasons, cautions };
}

function explain(
  size: SizeVerdict,
  request: NeedleRequest,
  firm: number,
  memory: number,
  reasons: Reason[],
  cautions: Caution[],
) {
  const ratio = size.eyeRatio.toFixed(2);
  const fibre = fibres.get(request.thread.fibre, 'thread.fibre');
  if (size.eyeRatio > EYE_BEST[1])
    cautions.push({
      code: 'eye-tight',
      severity: 'warn',
      text: `Thread fills ${ratio} of the eye: it may rub and shred.`,
      act: `Try a larger needle${request.eye === 'large' ? '' : ' or a large eye'}.`,
    });
  else if (size.parts.eye > 0.1)
    reasons.push({
      code: 'eye-roomy',
      text: `Thread fills only ${ratio} of the eye: it has room to wander, and the hole stays larger than the thread.`,
    });
  if (fibre.eye === 'large' && (request.eye ?? 'standard') === 'standard')
    reasons.push({ code: 'eye-large-better', text: `A large eye is kinder to ${fibre.label} thread.` });
  const fine = inRange(size.nm, FINE_CLOTH_NM) && isFineCloth(request.sandwich);
  const felt =
    request.basteInPerS === undefined
      ? feltFlexIndex(size.nm, request.spi, firm, request.freeMm)
      : size.flexIndex;
  if (felt >= FLEX_SAID && !fine)
    cautions.push({
      code: 'flex-high',
      severity: 'warn',
      text: `The needle bends (flex ${felt.toFixed(2)}): skips may favour one direction.`,
      act:
        stifferNeedle(size, request, firm) ??
        (request.basteInPerS === undefined ? 'Shorten the stitch.' : 'Baste more slowly.'),
    });
  if (memory >= KEEPS_HOLES && size.perforation > PERFORATION_WARN)
    cautions.push({
      code: 'hole-memory',
      severity: 'warn',
      text: `Holes take ${(size.perforation * 100).toFixed(0)} % of the line in fabric that keeps them.`,
      act: 'Sew fewer stitches per inch, or take a thinner needle.',
    });
  else if (memory > KEEPS_HOLES)
    reasons.push({
      code: 'hole-memory',
      text: 'This fabric keeps needle holes: test elsewhere before unpicking.',
    });
}

/** The next size that would stay straight with this thread still running freely in its eye, as an act. */
function stifferNeedle(size: SizeVerdict, request: NeedleRequest, firm: number): string | null {
  const eye = request.eye ?? 'standard';
  const up = NEEDLE_SIZES.find(
    (s) =>
      s.nm > size.nm &&
      s.nm <= THICKEST_NM &&
      (request.basteInPerS === undefined
        ? feltFlexIndex(s.nm, request.spi, firm, request.freeMm)
        : basteFlexIndex(s.nm, request.basteInPerS, firm, request.freeMm)) <= FLEX_BEST &&
      eyeRatio(request.thread, s.nm, eye) >= EYE_BEST[0],
  );
  if (!up) return null;
  return `${request.owned?.includes(up.nm) === false ? 'Buy' : 'Go up to'} Nm ${up.nm}.`;
}

/** Which size of any would do, in words. */
function buyAdvice(request: NeedleRequest, firm: number, memory: number): string {
  for (const eye of Object.keys(EYE_SHARE) as Eye[]) {
    const best = lowest(
      NEEDLE_SIZES.map((s) => judge(s.nm, { ...request, eye }, firm, memory)).filter(
        (s) => s.verdict !== 'refused' && s.nm <= THICKEST_NM,
      ),
      (s) => s.penalty,
    );
    if (best) return `Nm ${best.nm} with a ${eye} eye would do.`;
  }
  return 'no size of any would do. Change the stitch length or the thread.';
}
