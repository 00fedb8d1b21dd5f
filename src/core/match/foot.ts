import type { Caution } from '../notes';
import { features as featureTable } from '../tables/features';
import { FOOT_LABEL, type FootId, type Technique } from '../tables/techniques';

/**
 * The foot for a technique: raised work overrides it with the bowl foot, and a ruler against raised
 * work is a conflict that is said. A foot the machine has not got falls back to one it has.
 */
export function chooseFoot(
  t: Technique,
  features: readonly string[],
  owned: readonly string[],
): { foot: FootId; cautions: Caution[] } {
  const cautions: Caution[] = [];
  const raised = features.some((f) => featureTable.get(f, 'features').foot === 'bowl');
  const wanted: FootId = raised ? 'bowl' : t.foot === 'any' ? 'open-toe' : t.foot;
  if (raised && t.foot === 'ruler')
    cautions.push({
      code: 'foot-conflict',
      severity: 'warn',
      text: 'Raised work and a ruler exclude each other: sew the ruler lines up to the raised edge, or choose another technique here.',
    });
  else if (raised)
    cautions.push({
      code: 'raised-foot',
      severity: 'note',
      text: 'The bowl foot glides over raised edges; sight of the line is less.',
    });
  if (owned.includes(wanted)) return { foot: wanted, cautions };
  const fallback = (['open-toe', 'closed', ...owned] as FootId[]).find((f) => owned.includes(f)) ?? 'closed';
  cautions.push({
    code: 'foot-missing',
    severity: 'warn',
    text: `This asks for the ${FOOT_LABEL[wanted].toLowerCase()}, which the machine has not got: ${FOOT_LABEL[fallback].toLowerCase()} instead.`,
  });
  return { foot: fallback, cautions };
}
