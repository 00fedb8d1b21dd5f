import { couchingFoot, holeTooSmall } from '../couching/couching';
import type { Caution } from '../notes';
import { features as featureTable } from '../tables/features';
import { FOOT_LABEL, type FootId, type Technique } from '../tables/techniques';

interface Feet {
  feet: readonly string[];
  couchingHoleMm?: number | null;
}

/**
 * The foot for a technique. Raised work takes the bowl foot where one is owned, and a ruler against raised work is a
 * conflict that is said. Against a ruler an open toe is never used: without a ruler foot the round closed one, a
 * makeshift. A yarn runs through the couching foot's hole, or is guided before the ruler foot.
 */
export function chooseFoot(
  t: Technique,
  features: readonly string[],
  machine: Feet,
  yarnMm?: number,
): { foot: FootId; cautions: Caution[] } {
  const owns = (f: FootId) => machine.feet.includes(f);
  const cautions: Caution[] = [];
  const raised = features.some((f) => featureTable.get(f, 'features').foot === 'bowl');
  if (raised && t.besideRuler)
    cautions.push({
      code: 'foot-conflict',
      severity: 'warn',
      text: 'Raised work and a ruler exclude each other: sew the ruler lines up to the raised edge, or choose another technique here.',
    });
  if (t.couches) return couched(machine, yarnMm, cautions);
  if (raised && owns('bowl')) {
    if (!t.besideRuler)
      cautions.push({
        code: 'raised-foot',
        severity: 'note',
        text: 'The bowl foot glides over raised edges; sight of the line is less.',
      });
    return { foot: 'bowl', cautions };
  }
  if (raised && !t.besideRuler)
    cautions.push({
      code: 'foot-missing',
      severity: 'note',
      text: 'No bowl foot here: raised edges can catch under the foot.',
      act: 'Set the foot a little higher, and sew slowly over the edges.',
    });
  if (t.besideRuler && !owns('ruler')) {
    cautions.push({
      code: 'foot-missing',
      severity: 'warn',
      text: 'No ruler foot here: the round closed foot is a makeshift.',
      act: 'Take a thick ruler, hold it flat, and sew slowly.',
    });
    return { foot: 'closed', cautions };
  }
  const wanted: FootId = t.foot === 'any' ? 'open-toe' : t.foot;
  if (owns(wanted)) return { foot: wanted, cautions };
  const instead: FootId = (['open-toe', 'closed', 'ruler'] as const).find(owns) ?? 'closed';
  if (t.foot !== 'any' && instead !== 'closed')
    cautions.push({
      code: 'foot-missing',
      severity: 'note',
      text: `No ${FOOT_LABEL[wanted].toLowerCase()} here: ${FOOT_LABEL[instead].toLowerCase()} instead, with less sight of the line.`,
    });
  return { foot: instead, cautions };
}

function couched(
  { feet, couchingHoleMm = null }: Feet,
  yarnMm: number | undefined,
  cautions: Caution[],
): { foot: FootId; cautions: Caution[] } {
  const hole = feet.includes('couching') ? couchingHoleMm : 0;
  const foot = couchingFoot(yarnMm, hole);
  if (foot === 'couching') return { foot, cautions };
  cautions.push(
    yarnMm !== undefined
      ? holeTooSmall(yarnMm, hole ?? 0)
      : {
          code: 'foot-missing',
          severity: 'warn',
          text: 'No couching foot here.',
          act: 'Guide the yarn by hand before the ruler foot, slowly.',
        },
  );
  return { foot: feet.includes('ruler') ? 'ruler' : 'closed', cautions };
}
