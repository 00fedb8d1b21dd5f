import fc from 'fast-check';
import { fabrics } from '../tables/fabrics';
import { fibres } from '../tables/fibres';
import { NEEDLE_SIZES } from '../tables/needles';
import { EYE_BEST, EYE_USABLE, eyeRatio, eyeWidthMm } from './eye';
import { FLEX_LAST_RESORT, flexIndex, needleStiffness } from './flex';
import { needleLife } from './life';
import { chooseNeedle, type NeedleRequest, pointFor } from './needle';
import { perforation, PERFORATION_REFUSE } from './perforation';

const ask = (part: Partial<NeedleRequest> = {}, cloth = 'quilting-cotton') =>
  chooseNeedle({
    thread: { tex: 27, fibre: 'polyester-filament' },
    spi: 11,
    sandwich: { top: [{ fabric: cloth }], battingId: 'cotton-80-20', backing: 'quilting-cotton' },
    ...part,
  });
const codes = (list: readonly { code: string }[]) => list.map((x) => x.code);
const sizes = NEEDLE_SIZES.map((s) => s.nm);

describe('the eye', () => {
  test('is two fifths of the blade, a large one half as wide again', () => {
    expect(eyeWidthMm(100)).toBeCloseTo(0.4, 9);
    expect(eyeWidthMm(100, 'large')).toBeCloseTo(0.52, 9);
  });
  test('the thicker the thread the fuller, the larger the needle the emptier', () => {
    const tex = fc.double({ min: 5, max: 100, noNaN: true });
    fc.assert(
      fc.property(tex, fc.constantFrom(...fibres.ids), fc.nat(sizes.length - 2), (t, fibre, i) => {
        const at = (tex: number, nm: number) => eyeRatio({ tex, fibre }, nm);
        expect(at(t * 1.1, sizes[i]!)).toBeGreaterThan(at(t, sizes[i]!));
        expect(at(t, sizes[i + 1]!)).toBeLessThan(at(t, sizes[i]!));
      }),
    );
  });
});

describe('the blade', () => {
  test('half as thick again is five times as stiff: the fourth power', () => {
    expect(needleStiffness(150) / needleStiffness(100)).toBeCloseTo(1.5 ** 4, 9);
  });
  test('Nm 100 at eleven to the inch in quilting cotton counts as one', () => {
    expect(flexIndex(100, 11, 1)).toBeCloseTo(1, 1);
  });
  test.each(sizes.slice(1).map((nm, i) => [sizes[i]!, nm] as const))('Nm %d bends more than Nm %d', (a, b) =>
    expect(flexIndex(a, 11, 1)).toBeGreaterThan(flexIndex(b, 11, 1)),
  );
  test('longer stitches and firmer fabric bend it more', () => {
    expect(flexIndex(90, 8, 1)).toBeGreaterThan(flexIndex(90, 12, 1));
    expect(flexIndex(90, 11, 1.6)).toBeGreaterThan(flexIndex(90, 11, 1));
  });
  test('holes take the blade’s share of the stitch', () => {
    expect(perforation(100, 25.4)).toBeCloseTo(1, 9);
    expect(perforation(100, 12.7)).toBeCloseTo(0.5, 9);
  });
});

describe('how long a needle lasts', () => {
  test('a quarter of a million stitches, less by what it met', () => {
    expect(needleLife([])).toBe(250_000);
    expect(needleLife([0.5, 0.8])).toBeCloseTo(100_000, 6);
  });
  test('coated three times as long', () => {
    expect(needleLife([0.85], true)).toBeCloseTo(3 * needleLife([0.85]), 6);
  });
});

describe('the point', () => {
  test.each([
    [['quilting-cotton'], 'sharp'],
    [['quilting-cotton', 'batik'], 'micro-sharp'],
    [['lawn-voile'], 'sharp'],
  ])('%j asks for a %s one', (top, point) => expect(pointFor(top)).toBe(point));
  test('a knit decides over a dense weave: a sharp point cuts its loops', () => {
    const knit = fabrics.rows.find((f) => f.point === 'light-ball')!;
    expect(pointFor(['batik', knit.id])).toBe('light-ball');
  });
});

describe('the choice', () => {
  test('usual thread on usual fabric takes a usual needle', () => {
    expect(ask().best).toMatchObject({ nm: 100, us: 16, point: 'sharp' });
  });
  test('what is chosen is never refused, and lies in the usable windows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 70, noNaN: true }),
        fc.constantFrom(...fibres.ids),
        fc.constantFrom(...fabrics.ids),
        fc.double({ min: 5, max: 16, noNaN: true }),
        (tex, fibre, cloth, spi) => {
          const out = ask({ thread: { tex, fibre }, spi }, cloth);
          if (!out.best) {
            expect(out.sizes.every((s) => s.verdict === 'refused' || s.nm > 120)).toBe(true);
            expect(codes(out.cautions)).toEqual(['none-suitable']);
            return;
          }
          const size = out.sizes.find((s) => s.nm === out.best!.nm)!;
          expect(size.verdict).not.toBe('refused');
          expect(size.eyeRatio).toBeGreaterThanOrEqual(EYE_USABLE[0]);
          expect(size.eyeRatio).toBeLessThanOrEqual(EYE_USABLE[1]);
          expect(size.nm).toBeLessThanOrEqual(120);
          // A long stitch changes no needle, and fine cloth keeps a fine one.
          if (spi >= 11.1 && !fabrics.get(cloth).fineNeedle)
            expect(size.flexIndex).toBeLessThanOrEqual(FLEX_LAST_RESORT);
          if (fabrics.get(cloth).keepsHoles >= 2)
            expect(size.perforation).toBeLessThanOrEqual(PERFORATION_REFUSE);
        },
      ),
    );
  });
  test('only what is owned is judged and taken', () => {
    const out = ask({ owned: [90, 110, 110] });
    expect(out.sizes.map((s) => s.nm)).toEqual([90, 110]);
    expect([90, 110]).toContain(out.best!.nm);
  });
  test('the order of the drawer does not matter', () => {
    expect(ask({ owned: [110, 90, 100] })).toEqual(ask({ owned: [90, 100, 110] }));
  });
  test('an empty drawer, or only needles that are refused: what to buy is said', () => {
    for (const owned of [[], [60]]) {
      const out = ask({ owned });
      expect(out.best).toBeNull();
      expect(out.cautions[0]!.text).toMatch(/Nm \d+ with a (standard|large) eye would do\.$/);
      expect(out.cautions[0]!.severity).toBe('stop');
    }
  });
  test('where no needle of any size would do, that is said too', () => {
    const out = ask({ thread: { tex: 900, fibre: 'cotton' } });
    expect(out.best).toBeNull();
    expect(out.cautions[0]!.text).toContain('Change the stitch length or the thread');
  });
  test('a thread too thick for a standard eye may run in a large one', () => {
    const thick = { thread: { tex: 60, fibre: 'cotton' }, owned: [100] };
    expect(ask(thick).best).toBeNull();
    expect(ask({ ...thick, eye: 'large' }).best?.nm).toBe(100);
  });
  test('a full eye is cautioned with what to try', () => {
    const out = ask({ thread: { tex: 40, fibre: 'polyester-filament' }, owned: [100] });
    expect(out.sizes[0]!.eyeRatio).toBeGreaterThan(EYE_BEST[1]);
    expect(out.cautions.find((c) => c.code === 'eye-tight')?.act).toBe('Try a larger needle or a large eye.');
  });
  test('a metallic asks for a large eye in words', () => {
    const large = fibres.rows.find((f) => f.eye === 'large')!;
    const out = ask({ thread: { tex: 40, fibre: large.id } });
    expect(codes(out.reasons)).toContain('eye-large-better');
  });
  test('a bending needle is cautioned, and the act names a size that would stay straight', () => {
    const out = ask({ spi: 11, owned: [90] }, 'linen');
    const flex = out.cautions.find((c) => c.code === 'flex-high')!;
    expect(flex.text).toMatch(/skips may favour one direction/);
    expect(flex.act).toMatch(/^(Buy Nm \d+|Go slower)/);
  });
  test('a long stitch changes no needle, though its bend is told', () => {
    const [long, usual] = [ask({ spi: 6 }), ask({ spi: 11 })];
    expect(long.best).toEqual(usual.best);
    const flexOf = (o: typeof long) => o.sizes.find((s) => s.nm === 100)!.flexIndex;
    expect(flexOf(long)).toBeGreaterThan(flexOf(usual) * 1.5);
  });
  test.each([
    ['lawn-voile', 16.7],
    ['lawn-voile', 25],
    ['lame', 16.7],
  ])('%s keeps a fine needle for tex %p, and nothing is said of its bending', (cloth, tex) => {
    const out = ask({ thread: { tex, fibre: 'polyester-filament' } }, cloth);
    expect(out.best!.nm).toBeGreaterThanOrEqual(70);
    expect(out.best!.nm).toBeLessThanOrEqual(90);
    expect(codes(out.cautions)).not.toContain('flex-high');
  });
  test('thick thread asks for a large eye at 110 to 120, never for a thicker blade', () => {
    const out = ask({ thread: { tex: 80, fibre: 'cotton' }, eye: 'large' });
    expect([110, 120]).toContain(out.best!.nm);
    const none = ask({ thread: { tex: 80, fibre: 'cotton' }, owned: [100, 130, 140] });
    expect(none.cautions[0]!.text).toMatch(/Nm 1[12]0 with a large eye/);
  });
  test('fabric that keeps holes takes the thinner of two that fit', () => {
    const keeps = fabrics.rows.find((f) => f.keepsHoles >= 3)!;
    const [plain, held] = [ask({}, 'quilting-cotton'), ask({}, keeps.id)];
    const marks = (o: typeof plain, nm: number) => o.sizes.find((s) => s.nm === nm)!;
    for (const nm of sizes)
      expect(marks(held, nm).parts.holes).toBeGreaterThanOrEqual(marks(plain, nm).parts.holes);
    expect([...codes(held.cautions), ...codes(held.reasons)]).toContain('hole-memory');
  });
});

describe('the maker’s note on the cone', () => {
  const thread = { tex: 27, fibre: 'polyester-filament', labelNeedleNm: [75, 90] as const };
  test('obeyed, a size in its range is taken and the disagreement said', () => {
    const out = ask({ thread, labelRule: 'obey' });
    expect(out.best!.nm).toBeGreaterThanOrEqual(75);
    expect(out.best!.nm).toBeLessThanOrEqual(90);
    expect(out.reasons.find((r) => r.code === 'label-differs')?.text).toMatch(
      /The cone asks for Nm 75 to 90; by eye and flex alone Nm 100 would be best/,
    );
  });
  test('as advice it gives way to a better size, and says so', () => {
    const far = ask({ thread: { ...thread, labelNeedleNm: [120, 140] }, labelRule: 'weigh' });
    expect(far.reasons.some((r) => r.code === 'label-differs')).toBe(true);
  });
  test('a note that no size fits is not obeyed into nothing', () => {
    expect(ask({ thread: { ...thread, labelNeedleNm: [60, 60] }, labelRule: 'obey' }).best).not.toBeNull();
  });
  test('a note that agrees says nothing', () => {
    const out = ask({ thread: { ...thread, labelNeedleNm: [90, 110] } });
    expect(codes(out.reasons)).not.toContain('label-differs');
  });
});

describe('rough prints', () => {
  const sandwich = {
    top: [{ fabric: 'quilting-cotton' }],
    battingId: 'cotton-80-20',
    features: ['plastic-print'],
  };
  test('go up a size, and say why', () => {
    const [plain, rough] = [ask(), ask({ sandwich })];
    expect(rough.best!.nm).toBeGreaterThan(plain.best!.nm);
    expect(codes(rough.reasons)).toContain('abrasive-larger');
  });
  test('but not out of the drawer', () => {
    expect(ask({ sandwich, owned: [100] }).best!.nm).toBe(100);
  });
});
