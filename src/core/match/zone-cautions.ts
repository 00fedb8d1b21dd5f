import { safety } from '../cautions/cautions';
import { gapLimitIn } from '../density/density';
import type { Caution } from '../notes';
import type { Mode } from '../stitch/machine';
import { features as featureTable } from '../tables/features';
import { type Technique, besideRuler } from '../tables/techniques';
import type { MatchZone } from './request';

/** Features whose advice belongs on every card of the zone; abrasive ones speak through their criterion. */
const ADVISED = [
  'beads',
  'pocket-open',
  'bulky-seams',
  'fusible-web',
  'glue',
  'dense-embroidery',
  'full-area',
  'knots',
];

/** What to mind in a zone whatever thread is chosen. */
export function zoneCautions(zone: MatchZone, t: Technique, mode: Mode, spacingIn: number): Caution[] {
  const cautions: Caution[] = [];
  const features = zone.features ?? [];
  const limit = gapLimitIn(zone.battingId, zone.battingMaxGapIn);
  if (spacingIn > limit)
    cautions.push({
      code: 'batting-gap',
      severity: 'warn',
      text: `Gaps of ${spacingIn} in; this batting allows ${limit.toFixed(1)} in.`,
    });
  for (const id of features.filter((f) => ADVISED.includes(f)))
    cautions.push({ code: id, severity: 'note', text: featureTable.get(id).advice });
  if (features.includes('beads') && zone.use === 'baby') cautions.push(safety('small-parts-child', 'stop'));
  if (features.includes('bulky-seams') || besideRuler(t)) cautions.push(safety('needle-break-eyes'));
  if (mode === 'idling' || besideRuler(t) || t.id === 'couching') cautions.push(safety('hands-near-needle'));
  return cautions;
}
