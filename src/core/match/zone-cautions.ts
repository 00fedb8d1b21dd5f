import { safety } from '../cautions/cautions';
import { gapLimitIn } from '../density/density';
import { WALKING } from '../machine/table';
import type { Caution } from '../notes';
import { battings } from '../tables/battings';
import { stretchOf } from '../sandwich/sandwich';
import { fabrics } from '../tables/fabrics';
import { type Feature, features as featureTable } from '../tables/features';
import type { Technique } from '../tables/techniques';
import { trim } from '../units/trim';
import { radiusOf } from '../stitch/regulate';
import type { MatchRequest } from './request';

/** A batting this high is pushed ahead to the crossings of a grid, mm. */
const HIGH_LOFT_MM = 7;

/** What moving the quilt by hand asks of a technique. */
function tableCautions({ machine, zone }: MatchRequest, t: Technique): Caution[] {
  if (!machine.table) return [];
  const radiusIn = radiusOf(t, zone.smallestRadiusIn, zone.spacingIn);
  if (machine.table.regulated === 'walking-foot' && radiusIn !== null && radiusIn < WALKING.leastRadiusIn)
    return [
      {
        code: 'walking-foot-curves',
        severity: 'warn',
        text: `A walking foot takes curves from ${WALKING.leastRadiusIn} in radius; here they are ${trim(radiusIn, 2)} in.`,
        act: 'Lower the feed and take a foot for free motion, or draw gentle lines.',
      },
    ];
  return machine.table.regulated === 'none'
    ? [
        {
          code: 'even-hands',
          severity: 'note',
          text: 'Nothing follows your hands: foot and hands keep the stitch even.',
          act: 'Sew a test at the rate on the card, and keep that rhythm.',
        },
      ]
    : [];
}

/** What this zone causes, whatever thread is chosen; safety that holds for every set-up stands once on the card. */
export function zoneCautions(request: MatchRequest, t: Technique, spacingIn: number): Caution[] {
  const { zone } = request;
  const cautions: Caution[] = [];
  const features = (zone.features ?? []).map((f) => featureTable.get(f, 'zone.features'));
  const limit = gapLimitIn(zone.battingId, zone.battingMaxGapIn, request.gapShare);
  if (t.area && spacingIn > limit)
    cautions.push({
      code: 'batting-gap',
      severity: 'warn',
      text: `Gaps of ${trim(spacingIn, 2)} in; this batting allows ${limit.toFixed(1)} in.`,
      act: 'Bring the lines closer, or add lines between.',
    });
  // A cap on the hands is said only where it holds them back.
  const holds = (f: Feature) => !f.adviceIsCap || f.handInPerS === null || f.handInPerS < t.handInPerS;
  for (const f of features.filter((x) => x.advised && holds(x)))
    cautions.push({ code: f.id, severity: 'note', text: f.advice });
  if (features.some((f) => f.smallParts) && zone.use === 'baby')
    cautions.push(safety('small-parts-child', 'stop'));
  if (features.some((f) => f.breaksNeedles)) cautions.push(safety('needle-break-eyes'));
  if (t.stabilises === 'ditch' && features.some((f) => f.id === 'open-seam-pressed'))
    cautions.push({
      code: 'open-seam-pressed',
      severity: 'note',
      text: featureTable.get('open-seam-pressed').advice,
    });
  const stretch = stretchOf(
    zone.top.map((f) => f.fabric),
    zone.features,
  );
  if (stretch >= 2)
    cautions.push({
      code: 'stretchy-top',
      severity: 'note',
      text: 'This fabric stretches: it may be pushed into waves ahead of the foot.',
      act: 'Float it, outline the blocks first, or interface it before piecing.',
    });
  cautions.push(...tableCautions(request, t));
  const batting = battings.get(zone.battingId, 'zone.battingId');
  if (t.crosses && batting.loftMm >= HIGH_LOFT_MM)
    cautions.push({
      code: 'loft-pushed',
      severity: 'note',
      text: 'High loft is pushed ahead to the crossings of a grid.',
      act: 'Sew from the middle outwards, ease it under the foot, keep the tension low.',
    });
  const backing = fabrics.get(zone.backing, 'zone.backing');
  if (backing.creeps >= 2)
    cautions.push({
      code: 'backing-creeps',
      severity: 'note',
      text: `${backing.label[0]!.toUpperCase()}${backing.label.slice(1)} below creeps and drags.`,
      act: 'Baste the sides closer, and sew more slowly.',
    });
  return cautions;
}
