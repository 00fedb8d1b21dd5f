import type { Caution } from '../notes';
import type { WeighedZone } from './weigh-zone';

/** Why a zone has no set-up, and what to buy. */
export function nothingSuits({ technique, topThreads, bobbins, refusal }: WeighedZone): Caution {
  const text =
    topThreads.length === 0
      ? `No top thread on the shelf. A polyester filament of about tex 25 suits ${technique.label}.`
      : bobbins === 0
        ? 'No bobbin thread on the shelf. A smooth polyester filament of about tex 17 suits most tops.'
        : (refusal ?? 'No needle in the drawer suits any of these threads.');
  return { code: 'nothing-suits', severity: 'stop', text };
}
