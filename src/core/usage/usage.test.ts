import fc from 'fast-check';
import { fibres } from '../tables/fibres';
import { bobbinCapacityM, usage, type UsageRequest } from './usage';

const bobbinMm = { od: 25, core: 7.6, width: 10 };
const poly = { tex: 18, fibre: 'polyester-filament' };
const request = (part: Partial<UsageRequest> = {}): UsageRequest => ({
  sewnLengthIn: 4000,
  spi: 11,
  thicknessMm: 1.4,
  starts: 10,
  top: { tex: 27, fibre: 'polyester-filament' },
  bobbin: poly,
  bobbinMm,
  ...part,
});

describe('a bobbin', () => {
  test('holds half as much of a thread twice as thick', () => {
    expect(bobbinCapacityM(bobbinMm, { ...poly, tex: 36 })).toBeCloseTo(
      bobbinCapacityM(bobbinMm, poly) / 2,
      9,
    );
  });
  test('prewound holds more than wound here', () => {
    const share = bobbinCapacityM(bobbinMm, poly, true) / bobbinCapacityM(bobbinMm, poly);
    expect(share).toBeCloseTo(0.52 / 0.45, 9);
  });
  test.each(fibres.ids)('%s: something between a handful and a kilometre', (fibre) => {
    const metres = bobbinCapacityM(bobbinMm, { tex: 20, fibre });
    expect(metres).toBeGreaterThan(20);
    expect(metres).toBeLessThan(1000);
  });
  test('a wider core leaves less room', () => {
    expect(bobbinCapacityM({ ...bobbinMm, core: 12 }, poly)).toBeLessThan(bobbinCapacityM(bobbinMm, poly));
  });
});

describe('thread for a sewn length', () => {
  test('a lockstitch takes the line and goes through the layers at every stitch', () => {
    const flat = usage(request({ thicknessMm: 0, starts: 0 }));
    expect(flat.topM).toBeCloseTo(4000 * 0.0254 * 1.05, 6);
    const thick = usage(request({ thicknessMm: 25.4 / 11, starts: 0 }));
    expect(thick.topM).toBeCloseTo(2 * flat.topM, 6);
  });
  test('every start leaves tails: thirty centimetres above, half of it below', () => {
    const [none, ten] = [usage(request({ starts: 0 })), usage(request({ starts: 10 }))];
    expect(ten.topM - none.topM).toBeCloseTo(3 * 1.05, 6);
    expect(ten.bobbinM - none.bobbinM).toBeCloseTo(1.5 * 1.05, 6);
  });
  test('more to the inch takes more thread', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 16 }), fc.double({ min: 0.3, max: 4, noNaN: true }), (spi, t) => {
        const [few, many] = [spi, spi + 1].map((s) => usage(request({ spi: s, thicknessMm: t })));
        expect(many!.topM).toBeGreaterThan(few!.topM);
        expect(many!.stitches).toBeGreaterThan(few!.stitches);
      }),
    );
  });
  test('bobbins are counted whole, and are enough', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 200_000, noNaN: true }), (sewnLengthIn) => {
        const out = usage(request({ sewnLengthIn }));
        expect(out.bobbins * out.bobbinCapacityM).toBeGreaterThanOrEqual(out.bobbinM - 1e-6);
        expect((out.bobbins - 1) * out.bobbinCapacityM).toBeLessThan(out.bobbinM);
      }),
    );
  });
});
