import fc from 'fast-check';
import { battings } from '../tables/battings';
import { fibres } from '../tables/fibres';
import { breakGf } from '../thread/thread';
import { balanceRatio, BOBBIN_GF, NEAR_BREAK, startTension, type TensionStartRequest } from './start';

const request = (part: Partial<TensionStartRequest> = {}): TensionStartRequest => ({
  top: { tex: 27, fibre: 'polyester-filament' },
  bobbin: { tex: 18, fibre: 'polyester-filament' },
  needleNm: 100,
  sandwich: { top: [{ fabric: 'quilting-cotton' }], battingId: 'cotton-80-20', backing: 'quilting-cotton' },
  ...part,
});
const thread = fc.record({
  tex: fc.double({ min: 5, max: 90, noNaN: true }),
  fibre: fc.constantFrom(...fibres.ids),
});

test('filament over filament in a usual quilt balances at five to one', () => {
  expect(balanceRatio(request())).toBe(5);
});
test.each<[string, Partial<TensionStartRequest>, number]>([
  ['a cotton bobbin', { bobbin: { tex: 18, fibre: 'cotton' } }, 0.92],
  ['a cotton top', { top: { tex: 24, fibre: 'cotton' } }, 0.95],
  ['a full eye', { top: { tex: 40, fibre: 'polyester-filament' } }, 0.93],
  [
    'a thick quilt',
    {
      sandwich: {
        top: [{ fabric: 'flannel' }],
        battingId: 'polyester-high',
        backing: 'flannel',
      },
    },
    1.05,
  ],
])('%s moves it', (_, part, factor) => expect(balanceRatio(request(part))).toBeCloseTo(5 * factor, 9));
test('several at once multiply', () => {
  const both = request({ top: { tex: 24, fibre: 'cotton' }, bobbin: { tex: 18, fibre: 'cotton' } });
  expect(balanceRatio(both)).toBeCloseTo(5 * 0.92 * 0.95, 9);
});

test('the two stand in the ratio, the bobbin runs freely, the top is far from breaking', () => {
  fc.assert(
    fc.property(thread, thread, fc.constantFrom(...battings.ids), (top, bobbin, battingId) => {
      const s = startTension(request({ top, bobbin, sandwich: { ...request().sandwich, battingId } }));
      // Below its limit no bobbin feeds, whatever the top can bear.
      expect(s.bobbinGf).toBeGreaterThanOrEqual(BOBBIN_GF[0] - 1e-9);
      expect(s.bobbinGf).toBeLessThanOrEqual(BOBBIN_GF[1] + 1e-9);
      const lowered = s.cautions.find((c) => c.code === 'top-near-break');
      if (lowered?.act) expect(s.topGf / s.bobbinGf).toBeLessThan(s.ratio);
      else expect(Math.abs(Math.log(s.topGf / s.bobbinGf / s.ratio))).toBeLessThan(0.11);
      const said = s.reasons.find((r) => r.code === 'bobbin-at-limit')?.text.match(/(\d+) g/)?.[1];
      if (said) expect(Math.abs(Number(said) - s.bobbinGf)).toBeLessThanOrEqual(0.5);
      if (fibres.get(top.fibre).stretches) {
        expect(s.topGf).toBeGreaterThanOrEqual(45 - 1e-9);
        expect(s.topGf).toBeLessThanOrEqual(60);
      } else expect(s.topGf).toBeLessThanOrEqual(NEAR_BREAK * breakGf(top) + 1e-6);
    }),
  );
});
test('a weak thread is told at what it breaks', () => {
  const s = startTension(request({ top: { tex: 8, fibre: 'rayon' } }));
  expect(s.cautions[0]).toMatchObject({ code: 'top-near-break', severity: 'warn' });
  expect(s.cautions[0]!.text).toMatch(/breaks at \d+ g/);
});
test('what was learned moves the ratio and narrows the search', () => {
  const [plain, learned] = [
    startTension(request()),
    startTension(request({ learned: { mean: 0.2, sd: 0.1 } })),
  ];
  expect(learned.ratio).toBeCloseTo(plain.ratio * Math.exp(0.2), 9);
  expect([plain.sd, learned.sd]).toEqual([0.35, 0.1]);
});
