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

/** A shelf of monofilament has nothing for a child's quilt. */
export const notForAChild: Caution = {
  code: 'nothing-suits',
  severity: 'stop',
  text: 'The shelf has only monofilament for this, and that is not for a child’s quilt: its stiff ends can cut or be swallowed.',
  act: 'Buy a polyester filament of about tex 17 to 25, or a fine cotton.',
};
