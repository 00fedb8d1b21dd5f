import fc from 'fast-check';
import { nextTension } from './next';
import { tensionPosterior } from './posterior';
import { normalCdf } from '../statistics/normal';
import { verdictAt, verdictLikelihood, windowWidth } from './probit';
import { startTension } from './start';
import { quarterTurns, TURN_SHARE } from './turns';
import { knotDepth } from './knot';
import { breakGf } from '../thread/thread';

const top = { tex: 27, fibre: 'polyester-filament' };
const bobbin = { tex: 18, fibre: 'polyester-filament' };
const sandwich = {
  top: [{ fabric: 'quilting-cotton' }],
  battingId: 'cotton-80-20',
  backing: 'quilting-cotton',
};
const thicknessMm = 1.37;
const start = startTension({ top, bobbin, needleNm: 100, sandwich });

describe('the first guess', () => {
  test('stands in the balance ratio, within the ranges of §5', () => {
    expect(start.topGf / start.bobbinGf).toBeCloseTo(start.ratio, 9);
    expect(start.bobbinGf).toBeGreaterThanOrEqual(14);
    expect(start.bobbinGf).toBeLessThanOrEqual(30);
  });
  test('a weak thread lowers both and says so', () => {
    const weak = startTension({ top: { tex: 11, fibre: 'rayon' }, bobbin, needleNm: 80, sandwich });
    expect(weak.topGf).toBeLessThanOrEqual(0.22 * breakGf({ tex: 11, fibre: 'rayon' }) + 1e-9);
    expect(weak.cautions.map((c) => c.code)).toContain('top-near-break');
    expect(weak.bobbinGf).toBe(14);
  });
});

describe('the verdict model', () => {
  test('the seven likelihoods sum to one at any z', () => {
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), (z) => {
        const sum = ([-3, -2, -1, 0, 1, 2, 3] as const).reduce<number>(
          (s, v) => s + verdictLikelihood(v, z),
          0,
        );
        expect(sum).toBeCloseTo(1, 6);
      }),
    );
  });
  test('more top tension never lowers the verdict predicted', () => {
    const gf = fc.double({ min: 20, max: 400, noNaN: true });
    fc.assert(
      fc.property(gf, gf, (a, b) => {
        const z = (t: number) => (Math.log(t / 21) - Math.log(5)) / windowWidth(thicknessMm);
        const [low, high] = [Math.min(a, b), Math.max(a, b)];
        expect(verdictAt(z(high))).toBeGreaterThanOrEqual(verdictAt(z(low)));
        expect(knotDepth(z(high))).toBeLessThanOrEqual(knotDepth(z(low)));
      }),
    );
  });
  test('the normal distribution at known places', () => {
    expect(normalCdf(0)).toBeCloseTo(0.5, 7);
    expect(normalCdf(1.2816)).toBeCloseTo(0.9, 4);
    expect(normalCdf(-1.96)).toBeCloseTo(0.025, 4);
  });
});

describe('the search', () => {
  const ask = (tests: Parameters<typeof nextTension>[0]['tests']) =>
    nextTension({ start, thicknessMm, breakGf: breakGf(top), tests });

  test('without a test it asks for the first guess', () => {
    expect(ask([])).toMatchObject({ done: false, change: 'keep', topGf: start.topGf });
  });
  test('bobbin dots on top loosen the top; loops below tighten it', () => {
    const tight = ask([{ topGf: 120, bobbinGf: 21, verdicts: { away: 2 } }]);
    expect(tight.change).toBe('loosen-top');
    expect(tight.topGf).toBeLessThan(120);
    const loose = ask([{ topGf: 80, bobbinGf: 21, verdicts: { away: -2 } }]);
    expect(loose.change).toBe('tighten-top');
    expect(loose.topGf).toBeGreaterThan(80);
  });
  test('each verdict narrows the belief', () => {
    const seen = [{ topGf: 110, bobbinGf: 21, verdicts: [1, 1] as const }];
    expect(tensionPosterior(start, thicknessMm, seen).sd).toBeLessThan(
      tensionPosterior(start, thicknessMm, []).sd,
    );
  });
  test('two tests running balanced in every direction end it', () => {
    const even = {
      topGf: start.topGf,
      bobbinGf: start.bobbinGf,
      verdicts: { away: 0 as const, left: 0 as const },
    };
    expect(ask([even, even]).done).toBe(true);
  });
  test('directions two steps apart are not a matter of tension', () => {
    const out = ask([{ topGf: 105, bobbinGf: 21, verdicts: { away: 1, toward: -1 } }]);
    expect(out.done).toBe(false);
    expect(out.cautions.map((c) => c.code)).toEqual(
      expect.arrayContaining(['not-tension', 'direction-spread']),
    );
  });
  test('tests that contradict each other are pointed out', () => {
    const out = ask([
      { topGf: 90, bobbinGf: 21, verdicts: { away: 2 } },
      { topGf: 120, bobbinGf: 21, verdicts: { away: -2 } },
    ]);
    expect(out.cautions.map((c) => c.code)).toContain('contradictory');
  });
  test('when the top would leave its range the bobbin moves, with the reason', () => {
    const fine = { tex: 8, fibre: 'cotton' };
    const out = nextTension({
      start: { topGf: 40, bobbinGf: 14, ratio: 4.4, sd: 0.35 },
      thicknessMm,
      breakGf: breakGf(fine),
      tests: [{ topGf: 42, bobbinGf: 14, verdicts: { away: -2, left: -2 } }],
    });
    expect(out.change).toMatch(/bobbin/);
    expect(out.reasons.map((r) => r.code)).toContain('bobbin-instead');
  });
  test('it finds the balance of any fabric within a few tests', () => {
    fc.assert(
      fc.property(fc.double({ min: -0.5, max: 0.5, noNaN: true }), (off) => {
        const truth = Math.log(start.ratio) + off;
        const tests: { topGf: number; bobbinGf: number; verdicts: { away: ReturnType<typeof verdictAt> } }[] =
          [];
        let now = { topGf: start.topGf, bobbinGf: start.bobbinGf };
        for (let i = 0; i < 8; i++) {
          const z = (Math.log(now.topGf / now.bobbinGf) - truth) / windowWidth(thicknessMm);
          tests.push({ ...now, verdicts: { away: verdictAt(z) } });
          const next = ask(tests);
          if (next.done) break;
          now = next;
        }
        const z = (Math.log(now.topGf / now.bobbinGf) - truth) / windowWidth(thicknessMm);
        expect(Math.abs(z)).toBeLessThan(1.2);
      }),
      { numRuns: 30 },
    );
  });
});

test('a quarter turn is 12 %', () => {
  expect(quarterTurns(100, 100 * (1 + TURN_SHARE))).toBeCloseTo(1, 9);
  expect(quarterTurns(112, 100)).toBeCloseTo(-1, 9);
});
