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
/** Below this a bobbin case feeds unevenly: bobbins start here. */
const BOBBIN_START_GF = 16;
/** A thread that stretches as it feeds starts between these. */
const STRETCHING_GF = [45, 55] as const;
/** A top tension above this share of the breaking load is asking for breaks. */
export const NEAR_BREAK = 0.22;
/** Beyond this share of the breaking load a start tension works the thread hard. */
export const HARD_SHARE = 0.18;
const BASE_RATIO = 5;
const PRIOR_SD = 0.35;
const THICK_MM = 1.8;
/** A thread that gives as it feeds balances at so much less. */
const GIVES = 0.72;
/** Down to this share of the balance ratio a start still looks balanced. */
const BALANCES = 0.9;

/** The balance ratio expected before any test, R₀ = 5.0 × factors (judgement). */
export function balanceRatio(request: Omit<TensionStartRequest, 'learned'>): number {
  const spun = (t: Thread) => fibres.get(t.fibre).surface === 'spun';
  let ratio = BASE_RATIO;
  if (fibres.get(request.top.fibre).stretches) ratio *= GIVES;
  if (spun(request.bobbin)) ratio *= 0.92;
  if (spun(request.top)) ratio *= 0.95;
  if (eyeRatio(request.top, request.needleNm, request.eye) > EYE_BEST[1]) ratio *= 0.93;
  if (thicknessMm(request.sandwich) > THICK_MM) ratio *= 1.05;
  return ratio;
}

/**
 * First tensions to try, in gf: top 0.12 of the breaking load (45–150), bobbin top/R (16–30), and top
 * again from the bobbin so that both stand in the balance ratio. A thread that stretches starts between 45 and 55. Lowered together when the top would
 * exceed 0.22 of the breaking load.
 */
export function startTension(request: TensionStartRequest): TensionStart {
  const breaks = breakGf(request.top);
  const { stretches } = fibres.get(request.top.fibre, 'top.fibre');
  const [least, most] = stretches ? STRETCHING_GF : TOP_GF;
  const ratio = balanceRatio(request) * Math.exp(request.learned?.mean ?? 0);
  const wanted = clamp(TOP_SHARE_OF_BREAK * breaks, least, most) / ratio;
  // A bobbin starts at 16 gf; only where that would ask too much of a fine top does it go down to its limit.
  const least16 = clamp(wanted, BOBBIN_START_GF, BOBBIN_GF[1]);
  const tooHard = ratio * least16 > HARD_SHARE * breaks;
  let bobbinGf = tooHard ? clamp((HARD_SHARE * breaks) / ratio, BOBBIN_GF[0], least16) : least16;
  let topGf = ratio * bobbinGf;
  const limit = stretches ? STRETCHING_GF[1] : NEAR_BREAK * breaks;
  const lowered = topGf > limit;
  if (lowered) {
    topGf = limit;
    // A weak thread lowers both together; but below its limit a bobbin no longer feeds.
    bobbinGf = Math.max(topGf / ratio, BOBBIN_GF[0]);
  }
  const reasons: Reason[] = [];
  const cautions: Caution[] = [];
  const atLimit = (text: string) => reasons.push({ code: 'bobbin-at-limit', text });
  if (wanted > BOBBIN_GF[1])
    atLimit(`The bobbin stands at ${BOBBIN_GF[1]} g, the most that still runs freely; the top follows it.`);
  else if (Math.round(bobbinGf) < BOBBIN_START_GF)
    atLimit(
      `The bobbin starts at ${Math.round(bobbinGf)} g to spare the top thread: below ${BOBBIN_START_GF} a case feeds unevenly, so look at the line closely.`,
    );
  else if (wanted < BOBBIN_GF[0])
    atLimit(`The bobbin stands at ${BOBBIN_START_GF} g, the least that feeds evenly; the top follows it.`);
  if (lowered && !stretches) {
    const balances = topGf / bobbinGf > BALANCES * ratio;
    cautions.push({
      code: 'top-near-break',
      severity: 'warn',
      text: `This thread breaks at ${Math.round(breaks)} g: both tensions are lowered to keep the top under ${Math.round(limit)} g.${balances ? '' : ' It is too weak to balance over a bobbin that still feeds: loops on the back are likely.'}`,
      ...(balances ? {} : { act: 'Take a stronger thread, or a finer bobbin thread in a case of its own.' }),
    });
  }
  return { topGf, bobbinGf, ratio, sd: request.learned?.sd ?? PRIOR_SD, reasons, cautions };
}
