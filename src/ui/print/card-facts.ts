import { coneName } from '@/actions/zone-brief';
import { MODE_LABEL } from '@/core/stitch/machine';
import { POINT_LABEL, usSize } from '@/core/tables/needles';
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
): CardFacts {
  return {
    quilt: quilt.name,
    letter: zone.letter,
    zone: zone.name,
    work: `${techniques.get(zone.technique).label}, ${zone.spacingIn} in apart`,
    top: thread(cones.get(s.topId), 'top thread gone'),
    bobbin: thread(cones.get(s.bobbinId), 'bobbin thread gone'),
    needle: `Nm ${s.needleNm} / US ${usSize(s.needleNm)}`,
    point: `${POINT_LABEL[s.needlePoint]}${s.needleEye === 'large' ? ', large eye' : ''}`,
    shank: machine.shank,
    foot: FOOT_LABEL[s.foot],
    mode: MODE_LABEL[s.mode],
    spi: String(Number(s.spi.toFixed(1))),
    topGf: String(Math.round(s.provenTopGf ?? s.topGf)),
    bobbinGf: String(Math.round(s.provenBobbinGf ?? s.bobbinGf)),
    speed: `hands under ${s.maxInPerS.toFixed(1)} in/s`,
    proven: s.provenAt !== null,
  };
}
