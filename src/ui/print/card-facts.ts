import { coneName } from '@/actions/zone-brief';
import { placeOn, type Scales } from '@/core/machine/scales';
import { MODE_LABEL } from '@/core/stitch/machine';
import { needleName, POINT_LABEL } from '@/core/tables/needles';
import { watchFor, watchWords } from '@/core/watch/watch-for';
import type { Settings } from '@/core/log/entry';
import type { ZoneSettings } from '@/core/log/fold';
import type { TensionSchool } from '@/core/fields/lists';
import { tensionSaid } from '@/core/tension/said';
import { gramsText } from '@/core/units/force';
import { handSpeedOf } from '@/actions/plan';
import { settingsBeside } from '@/actions/settings';
import { FOOT_LABEL, techniques } from '@/core/tables/techniques';
import type { ChosenSetup, Cone, Machine, Quilt, Zone } from '@/data/types';
import { CLEAR } from '@/ui/draw/colour';
import type { CardFacts } from './setting-card';

const thread = (cone: Cone | undefined, gone: string) =>
  cone ? { name: coneName(cone), hex: cone.hex ?? CLEAR } : { name: gone, hex: CLEAR };

/** What a stored set-up says on its card. */
export function cardFacts(
  s: ChosenSetup,
  zone: Zone,
  quilt: Pick<Quilt, 'name'>,
  machine: Pick<Machine, 'shank'>,
  cones: ReadonlyMap<string, Cone>,
  scales: Scales = {},
  settings?: ZoneSettings,
  school: TensionSchool = 'both',
  ends = '',
): CardFacts {
  const topGf = s.provenTopGf ?? s.topGf;
  const bobbinGf = s.provenBobbinGf ?? s.bobbinGf;
  const hand = handSpeedOf(s, zone.technique);
  return {
    quilt: quilt.name,
    letter: zone.letter,
    zone: zone.name,
    work: `${techniques.get(zone.technique).label}, ${zone.spacingIn} in spacing`,
    top: thread(cones.get(s.topId), 'top thread gone'),
    bobbin: thread(cones.get(s.bobbinId), 'bobbin thread gone'),
    needle: needleName(s.needleNm),
    point: `${POINT_LABEL[s.needlePoint]}${s.needleEye === 'large' ? ', large eye' : ''}`,
    shank: machine.shank,
    foot: FOOT_LABEL[s.foot],
    mode: MODE_LABEL[s.mode],
    spi: String(Number(s.spi.toFixed(1))),
    topSaid: tensionSaid(school, 'top-dial', topGf, placeOn(scales, 'top-dial', topGf)),
    bobbinSaid: tensionSaid(school, 'bobbin-turns', bobbinGf, placeOn(scales, 'bobbin-turns', bobbinGf)),
    speed: `${hand.toFixed(1)} in/s${s.maxInPerS > hand + 0.05 ? `, up to ${s.maxInPerS.toFixed(1)}` : ''}`,
    proven: s.provenAt !== null,
    watch: watchWords(watchFor(zone)),
    otherwise: otherwiseWords(
      settingsBeside(s, settings),
      { topGf, bobbinGf, spi: s.spi, hand, foot: s.foot },
      cones,
    ),
    ends,
  };
}

/** What was set otherwise at the machine than the card says, in a line; nothing when it stands as the card says. */
function otherwiseWords(
  own: Settings,
  card: { topGf: number; bobbinGf: number; spi: number; hand: number; foot: keyof typeof FOOT_LABEL },
  cones: ReadonlyMap<string, Cone>,
): string {
  const parts = [
    own.topGf !== undefined && `top ${gramsText(card.topGf)} → ${gramsText(own.topGf)} g`,
    own.bobbinGf !== undefined && `bobbin ${gramsText(card.bobbinGf)} → ${gramsText(own.bobbinGf)} g`,
    own.spi !== undefined && `${Number(card.spi.toFixed(1))} → ${Number(own.spi.toFixed(1))} spi`,
    own.handInPerS !== undefined && `${card.hand.toFixed(1)} → ${own.handInPerS.toFixed(1)} in/s`,
    own.foot !== undefined && FOOT_LABEL[own.foot].toLowerCase(),
    own.topId !== undefined && `top thread ${thread(cones.get(own.topId), 'put away').name}`,
    own.bobbinId !== undefined && `bobbin thread ${thread(cones.get(own.bobbinId), 'put away').name}`,
  ].filter((p) => p !== false);
  return parts.length > 0 ? `At the machine: ${parts.join(', ')}` : '';
}
