import { TWIN_SD } from '@/core/tension/twins';
import type { ChosenSetup, Zone } from '@/data/types';
import { untestedTwins, withTwins } from './twins';

const cotton = { kind: 'quilting-cotton' };
const zone = (letter: string, part: Partial<Zone> = {}): Zone =>
  ({ id: letter, letter, technique: 'swirls', fabrics: [cotton], features: [], ...part }) as unknown as Zone;
const card = (part: Partial<ChosenSetup> = {}): ChosenSetup =>
  ({
    topId: 'fog',
    bobbinId: 'mist',
    needleNm: 100,
    needleEye: 'standard',
    needlePoint: 'sharp',
    topGf: 90,
    bobbinGf: 20,
    ratio: 4.5,
    ratioSd: 0.35,
    provenAt: null,
    provenTopGf: null,
    provenBobbinGf: null,
    turnedBack: null,
    ...part,
  }) as unknown as ChosenSetup;
const tested = card({ provenAt: new Date() as never, provenTopGf: 120, provenBobbinGf: 24 });

test('a zone that sews like a tested one begins where that one ended, and says whose test it was', () => {
  const zones = [zone('A'), zone('C')];
  const cards = withTwins(
    zones,
    new Map([
      ['A', tested],
      ['C', card()],
    ]),
  );
  expect(cards.get('C')).toMatchObject({
    topGf: 120,
    bobbinGf: 24,
    ratio: 5,
    ratioSd: TWIN_SD,
    twinLetter: 'A',
  });
  expect(cards.get('A')).toBe(tested);
});
test.each<[string, Partial<Zone>, Partial<ChosenSetup>]>([
  ['another technique', { technique: 'echo' }, {}],
  ['another fabric', { fabrics: [cotton, { kind: 'batik' }] as never }, {}],
  ['a seam of another height', { features: ['bulky-seams'] as never }, {}],
  ['another top thread', {}, { topId: 'sand' }],
  ['another bobbin thread', {}, { bobbinId: 'oat' }],
  ['another needle', {}, { needleNm: 90 }],
  ['another eye', {}, { needleEye: 'large' as never }],
  ['a test of its own', {}, { provenAt: new Date() as never, provenTopGf: 80, provenBobbinGf: 20 }],
  ['a test that was turned back', {}, { turnedBack: 'the batting changed' as never }],
])('%s takes nothing over', (_, z, s) => {
  const own = card(s);
  const cards = withTwins(
    [zone('A'), zone('C', z)],
    new Map([
      ['A', tested],
      ['C', own],
    ]),
  );
  expect(cards.get('C')).toBe(own);
});
test('what is surer than a twin makes it stays as sure', () => {
  const cards = withTwins(
    [zone('A'), zone('C')],
    new Map([
      ['A', tested],
      ['C', card({ ratioSd: 0.08 })],
    ]),
  );
  expect(cards.get('C')!.ratioSd).toBe(0.08);
});
test('one test for several names those that sew alike and are not tested, whatever the order of their fabrics', () => {
  const two = [cotton, { kind: 'batik' }] as never;
  const zones = [
    zone('A', { fabrics: two }),
    zone('B'),
    zone('C', { fabrics: [{ kind: 'batik' }, cotton] as never }),
    zone('D', { fabrics: two }),
    zone('E', { fabrics: two }),
  ];
  const cards = new Map([
    ['A', card()],
    ['B', card()],
    ['C', card()],
    ['D', tested],
  ]);
  expect(untestedTwins(zones[0]!, zones, cards).map((t) => t.zone.letter)).toEqual(['C']);
  expect(untestedTwins(zones[4]!, zones, cards)).toEqual([]);
});
