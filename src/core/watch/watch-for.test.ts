import { features } from '../tables/features';
import { watchFor, watchWords } from './watch-for';

const zone = (part: Partial<Parameters<typeof watchFor>[0]> = {}) => ({
  technique: 'swirls',
  features: [],
  fabrics: [],
  ...part,
});

test('where there is nothing to watch for, nothing is said', () => {
  expect(watchFor(zone())).toEqual([]);
  expect(watchWords([])).toBe('');
});
test('everything that can be in a zone has a mark of its own and a sentence', () => {
  const all = watchFor(zone({ features: [...features.ids] }));
  expect(all).toHaveLength(features.ids.length);
  expect(new Set(all.map((w) => w.code)).size).toBe(all.length);
  for (const w of all) {
    expect([w.code, w.label.length > 0 && w.label.length <= 14]).toEqual([w.code, true]);
    expect([w.code, /^[A-Z].*\.$/.test(w.text)]).toEqual([w.code, true]);
  }
});
test('what is quilted around is named, what is sewn over is not', () => {
  const [around, ...rest] = watchFor(
    zone({
      fabrics: [
        { name: 'Gull', sewnOver: false },
        { name: 'Sky', sewnOver: true },
        { name: 'Buoy', sewnOver: false },
      ],
    }),
  );
  expect(around!.text).toContain('Gull and Buoy');
  expect(around!.text).not.toContain('Sky');
  expect(rest).toEqual([]);
});
test('a seam pressed open is a matter of the ditch only', () => {
  const codes = (technique: string) =>
    watchFor(zone({ technique, features: ['open-seam-pressed'] })).map((w) => w.code);
  expect(codes('ditch')).toContain('ditch-on-open-seam');
  expect(codes('swirls')).not.toContain('ditch-on-open-seam');
});
test('on a card they stand in one line, each without its stop', () => {
  const words = watchWords([
    { code: 'a', label: 'a', text: 'Mind the pocket.' },
    { code: 'b', label: 'b', text: 'Slow over vinyl.' },
  ]);
  expect(words).toBe('Mind the pocket · Slow over vinyl');
});
