import { texToDen, texToDtex, texToNe, texToNm, texToTicket, texToWt } from '../units/count';
import { CoreError, type Reason } from '../notes';
import { fibres } from '../tables/fibres';
import type { Basis } from './label-forms';
import { disagreements, measuredTex, readLabel, type Reading, WT_UNCERTAINTY } from './read-label';
import { breakGf, diameterMm } from './thread';

export interface ThreadRequest {
  label?: string;
  fibre: string;
  netG?: number;
  lengthM?: number;
}

export interface ThreadFacts {
  tex: number;
  basis: Basis;
  /** True when the size rests on a weight number only (±25 %). */
  uncertain: boolean;
  dtex: number;
  den: number;
  ne: number;
  nm: number;
  wt: number;
  ticket: number;
  diameterMm: number;
  breakGf: number;
  /** Everything the label was understood to say, best first. */
  readings: Reading[];
  reasons: Reason[];
}

/**
 * What is known of a thread from its label, or from net grams and metres, in every count.
 * @throws CoreError `label-unreadable`, `grams-and-metres` (one without the other), `unknown-id`.
 * @example describeThread({ label: '40 wt', fibre: 'polyester-filament' }).tex // 25, uncertain
 */
export function describeThread(request: ThreadRequest): ThreadFacts {
  const { label, fibre, netG, lengthM } = request;
  fibres.get(fibre, 'fibre');
  if ((netG == null) !== (lengthM == null))
    throw new CoreError(
      'grams-and-metres',
      'Net grams and metres go together: give both, or the label alone.',
      netG == null ? 'netG' : 'lengthM',
    );
  const readings: Reading[] = [];
  if (netG != null && lengthM != null)
    readings.push({
      basis: 'measured',
      from: `${netG} g over ${lengthM} m`,
      tex: measuredTex(netG, lengthM),
    });
  if (label != null && (label.trim() !== '' || readings.length === 0))
    readings.push(...readLabel(label, fibre));
  const best = readings[0];
  if (!best)
    throw new CoreError(
      'label-unreadable',
      'Give the label, or net grams and metres of the full cone.',
      'label',
    );
  const reasons = disagreements(readings);
  if (best.basis === 'wt')
    reasons.push({
      code: 'wt-uncertain',
      text: `A weight number is used loosely: tex ${(best.tex * (1 - WT_UNCERTAINTY)).toFixed(0)} to ${(best.tex * (1 + WT_UNCERTAINTY)).toFixed(0)}. Weigh a full cone to be sure.`,
    });
  return {
    ...inEveryCount({ tex: best.tex, fibre }),
    basis: best.basis,
    uncertain: best.basis === 'wt',
    readings,
    reasons,
  };
}

/** One thread in every count, with its diameter and breaking load. */
export function inEveryCount({ tex, fibre }: { tex: number; fibre: string }) {
  return {
    tex,
    dtex: texToDtex(tex),
    den: texToDen(tex),
    ne: texToNe(tex),
    nm: texToNm(tex),
    wt: texToWt(tex),
    ticket: texToTicket(tex),
    diameterMm: diameterMm({ tex, fibre }),
    breakGf: breakGf({ tex, fibre }),
  };
}
