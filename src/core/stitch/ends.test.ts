import { ENDS } from '../tables/ends';
import { techniques } from '../tables/techniques';
import { endsFor, endsLine, type EndsRequest } from './ends';

const plain: EndsRequest = {
  technique: 'swirls',
  use: 'bed',
  top: [{ fabric: 'quilting-cotton' }],
  thread: { tex: 27, fibre: 'polyester-filament' },
  needleNm: 100,
  meetsEdge: false,
  besideLater: false,
  school: 'lock',
};
const id = (part: Partial<EndsRequest>) => endsFor({ ...plain, ...part }).way.id;

test('the first way that fits is taken', () => {
  expect(id({})).toBe('lock-tiny');
  expect(id({ meetsEdge: true, use: 'show' })).toBe('off-edge');
  expect(id({ technique: 'ditch', besideLater: true })).toBe('into-neighbour');
  expect(id({ use: 'show' })).toBe('bury');
  expect(id({ thread: { tex: 60, fibre: 'cotton' } })).toBe('bury');
  expect(id({ thread: { tex: 40, fibre: 'metallic' } })).toBe('bury');
  expect(id({ school: 'bury' })).toBe('bury');
  expect(id({ school: 'back-tack' })).toBe('back-tack');
  expect(id({ top: [{ fabric: 'plush' }] })).toBe('back-tack');
  expect(id({ top: [{ fabric: 'quilting-cotton', busyness: 3 }] })).toBe('back-tack');
});

test('tiny stitches are as long as the needle’s hole allows, and fewer where holes stay', () => {
  expect(endsFor(plain).start).toBe('bobbin thread up, 5 stitches of 1.25 mm');
  expect(endsFor({ ...plain, needleNm: 80 }).start).toContain('1.2 mm');
  expect(endsFor({ ...plain, thread: { tex: 20, fibre: 'nylon-mono' } }).start).toContain(
    '7 stitches of 1.5 mm',
  );
  expect(endsFor({ ...plain, machine: { stops: 'both', ownTieOff: true } }).start).toContain('own tie-off');
});

test('the needle stops down, but for basting and where the machine cannot', () => {
  expect(endsFor(plain).stop).toBe('needle down');
  expect(endsFor({ ...plain, technique: 'baste' }).stop).toBe('needle up');
  expect(endsFor({ ...plain, machine: { stops: 'up', ownTieOff: false } }).stop).toContain('by hand');
});

test('every technique and every way can be said in one line', () => {
  for (const technique of techniques.ids)
    for (const school of ['lock', 'bury', 'back-tack'] as const)
      for (const edge of [true, false]) {
        const said = endsFor({ ...plain, technique, school, meetsEdge: edge });
        expect(endsLine(said)).toMatch(/^Start: .+\. End: .+\. Stop: .+\.$/);
        expect(ENDS.ids).toContain(said.way.id);
      }
});
