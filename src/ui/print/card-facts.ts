import { coneName } from '@/actions/zone-brief';
import { placeOn, type Scales } from '@/core/machine/scales';
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
  scales: Scales = {},
): CardFacts {
  const topGf = s.provenTopGf ?? s.topGf;
  const bobbinGf = s.provenBobbinGf ?? s.bobbinGf;
  const hand = s.handInPerS ?? Math.min(techniques.get(zone.technique).handInPerS, s.maxInPerS);
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
    topGf: String(Math.round(topGf)),
    bobbinGf: String(Math.round(bobbinGf)),
    topPlace: placeOn(scales, 'top-dial', topGf),
    bobbinPlace: placeOn(scales, 'bobbin-turns', bobbinGf),
    speed: `hands ${hand.toFixed(1)} in/s, at most ${s.maxInPerS.toFixed(1)}`,
    proven: s.provenAt !== null,
  };
}
