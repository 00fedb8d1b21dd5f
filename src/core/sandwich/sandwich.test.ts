import fc from 'fast-check';
import { CoreError } from '../notes';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { features } from '../tables/features';
import { firmness, holeMemory, layersMm, type Sandwich, thicknessMm, wearFactor } from './sandwich';

const plain: Sandwich = { top: [{ fabric: 'quilting-cotton' }], battingId: 'cotton-80-20' };
const cloth = fc.constantFrom(...fabrics.ids);

describe('thickness under the stitch', () => {
  test('layers add up', () => {
    fc.assert(
      fc.property(cloth, cloth, fc.constantFrom(...battings.ids), (top, backing, battingId) => {
        const s: Sandwich = { top: [{ fabric: top }], battingId, backing };
        const { topMm, battingMm, backingMm } = layersMm(s);
        expect(thicknessMm(s)).toBeCloseTo(topMm + battingMm + backingMm, 9);
        expect(battingMm).toBeLessThan(battings.get(battingId).loftMm);
      }),
    );
  });
  test('cotton on eighty-twenty on cotton is about a millimetre and a half', () => {
    expect(thicknessMm(plain)).toBeCloseTo(1.37, 2);
  });
  test('fabrics side by side count by their share, whatever the shares add up to', () => {
    const mixed = (a: number, b: number): Sandwich => ({
      ...plain,
      top: [
        { fabric: 'quilting-cotton', share: a },
        { fabric: 'flannel', share: b },
      ],
    });
    expect(layersMm(mixed(1, 0)).topMm).toBeCloseTo(0.3, 9);
    expect(layersMm(mixed(0.5, 0.5)).topMm).toBeCloseTo(0.45, 9);
    expect(layersMm(mixed(3, 3)).topMm).toBeCloseTo(layersMm(mixed(0.5, 0.5)).topMm, 9);
  });
  test('raised work is one layer more', () => {
    const raised = layersMm({ ...plain, features: ['raised-applique'] });
    expect(raised.topMm).toBeCloseTo(2 * layersMm(plain).topMm, 9);
  });
  test.each([
    ['a fabric', { ...plain, top: [{ fabric: 'tarpaulin' }] }, 'top'],
    ['a batting', { ...plain, battingId: 'straw' }, 'battingId'],
    ['a backing', { ...plain, backing: 'tin' }, 'backing'],
    ['a feature', { ...plain, features: ['glitter-bomb'] }, 'features'],
  ])('%s that is not known is named, never guessed at', (_, s, path) => {
    try {
      thicknessMm(s);
      throw new Error('it was guessed at');
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError);
      expect((error as CoreError).path).toBe(path);
    }
  });
});

describe('what the needle meets', () => {
  test('the firmest fabric decides', () => {
    fc.assert(
      fc.property(cloth, cloth, (a, b) => {
        const both = firmness({ ...plain, top: [{ fabric: a }, { fabric: b }] });
        expect(both).toBe(Math.max(fabrics.get(a).firmness, fabrics.get(b).firmness));
      }),
    );
  });
  test('what is hard in places counts only where it is asked for', () => {
    const spot = features.rows.find((f) => f.firmnessAtSpots > 1)!;
    const s = { ...plain, features: [spot.id] };
    expect(firmness(s, true)).toBeCloseTo(firmness(s) * spot.firmnessAtSpots, 9);
  });
  test('the fabric of the strongest memory decides how long holes stay', () => {
    expect(holeMemory([])).toBe(0);
    expect(holeMemory(['flannel', 'batik'])).toBe(fabrics.get('batik').keepsHoles);
  });
  test('wear multiplies, one kind of fabric counted once', () => {
    const batik = fabrics.get('batik').wear;
    expect(wearFactor({ ...plain, top: [{ fabric: 'batik' }], backing: 'batik' })).toBeCloseTo(batik, 9);
    expect(wearFactor({ ...plain, top: [{ fabric: 'batik' }], features: ['dense-embroidery'] })).toBeCloseTo(
      batik * features.get('dense-embroidery').wear,
      9,
    );
  });
});
