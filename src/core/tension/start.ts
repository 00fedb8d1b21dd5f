import { EYE_BEST, eyeRatio } from '../needle/eye';
import type { Caution, Reason } from '../notes';
import { type Sandwich, thicknessMm } from '../sandwich/sandwich';
import { fibres } from '../tables/fibres';
import type { Eye } from '../tables/needles';
import { breakGf, type Thread } from '../thread/thread';
import { clamp } from '../units/clamp';

export interface TensionStartRequest {
  top: Thread;
  bobbin: Thread;
  needleNm: number;
  eye?: Eye;
  sandwich: Sandwich;
  /** From the studio's log: offset on ln R and its standard deviation. */
  learned?: { mean: number; sd: number };
}

export interface TensionStart {
  topGf: number;
  bobbinGf: number;
  /** Balance ratio R expected, top over bobbin. */
  ratio: number;
  /** Standard deviation of ln R. */
  sd: number;
  reasons: Reason[];
  cautions: Caution[];
}

// Judgements, to be corrected by the studio's log.
const TOP_SHARE_OF_BREAK = 0.12;
export const TOP_GF = [45, 150] as const;
export const BOBBIN_GF = [14, 30] as const;
/** A top tension above this share of the breaking load is asking for breaks. */
export const NEAR_BREAK = 0.22;
const BASE_RATIO = 5;
const PRIOR_SD = 0.35;
const THICK_MM = 1.8;

/** The balance ratio expected before any test, R₀ = 5.0 × factors (judgement). */
export function balanceRatio(request: Omit<TensionStartRequest, 'learned'>): number {
  const spun = (t: Thread) => fibres.get(t.fibre).surface === 'spun';
  let ratio = BASE_RATIO;
  if (spun(request.bobbin)) ratio *= 0.92;
  if (spun(request.top)) ratio *= 0.95;
  if (eyeRatio(request.top, request.needleNm, request.eye) > EYE_BEST[1]) ratio *= 0.93;
  if (thicknessMm(request.sandwich) > THICK_MM) ratio *= 1.05;
  return ratio;
}

/**
 * First tensions to try, in gf: top 0.12 of the breaking load (45–150), bobbin top/R (14–30), and top
 * again from the bobbin so that both stand in the balance ratio. Lowered together when the top would
 * exceed 0.22 of the breaking load.
 */
export function startTension(request: TensionStartRequest): TensionStart {
  const breaks = breakGf(request.top);
  const ratio = balanceRatio(request) * Math.exp(request.learned?.mean ?? 0);
  const wanted = clamp(TOP_SHARE_OF_BREAK * breaks, ...TOP_GF) / ratio;
  let bobbinGf = clamp(wanted, ...BOBBIN_GF);
  let topGf = ratio * bobbinGf;
  const reasons: Reason[] = [];
  const cautions: Caution[] = [];
  if (wanted < BOBBIN_GF[0] || wanted > BOBBIN_GF[1])
    reasons.push({
      code: 'bobbin-at-limit',
      text: `The bobbin stands at ${bobbinGf} gf, the ${wanted < bobbinGf ? 'least that feeds evenly' : 'most that still runs freely'}; the top follows it.`,
    });
  const limit = NEAR_BREAK * breaks;
  if (topGf > limit) {
    topGf = limit;
    bobbinGf = topGf / ratio;
    cautions.push({
      code: 'top-near-break',
      severity: 'warn',
      text: `This thread breaks at ${Math.round(breaks)} gf: both tensions are lowered to keep the top under ${Math.round(limit)} gf.`,
    });
  }
  return { topGf, bobbinGf, ratio, sd: request.learned?.sd ?? PRIOR_SD, reasons, cautions };
}
