import { demoNeedles, demoShelf } from '@/demo/shelf';
import type { MatchRequest, MatchThread, MatchZone } from '../match/request';
import { FEET } from '../tables/techniques';
import { describeThread } from '../thread/describe';

/** The demo studio's shelf as the core sees it, each cone under its name. */
export const shelf: MatchThread[] = demoShelf.map((c) => ({
  id: `${c.line} ${c.colour}`,
  tex: describeThread({ label: c.label, fibre: c.fibre }).tex,
  fibre: c.fibre,
  hex: c.hex,
  remainingM: c.remainingM,
  role: c.role,
  labelNeedleNm: c.labelNeedleNm,
}));

export const machine: MatchRequest['machine'] = {
  maxSpm: 2200,
  idleMinSpm: 100,
  idleMaxSpm: 900,
  minSpi: 4,
  maxSpi: 18,
  modes: ['idling', 'resting', 'manual'],
  feet: FEET,
  bobbinMm: { od: 25, core: 7.6, width: 10 },
};

const zone: MatchZone = {
  top: [{ fabric: 'quilting-cotton', hex: '#9db3b8', share: 1 }],
  backing: 'quilting-cotton',
  battingId: 'cotton-80-20',
  technique: 'swirls',
  spacingIn: 0.5,
  areaIn2: 400,
  visibility: 'sink',
  use: 'bed',
};

/** Swirls that should sink into haze blue cotton, on the demo shelf and drawer; any part may be put in its place. */
export const aMatch = (
  zonePart: Partial<MatchZone> = {},
  part: Partial<Omit<MatchRequest, 'zone'>> = {},
): MatchRequest => ({
  zone: { ...zone, ...zonePart },
  machine,
  threads: shelf,
  needles: demoNeedles.map(({ nm, eye, point }) => ({ nm, eye, point })),
  ...part,
});
