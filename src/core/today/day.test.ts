import fc from 'fast-check';
import { dayOf, MOST_LINES, TODAY_KINDS, type TodayLine } from './day';

const line = (kind: TodayLine['kind'], title: string): TodayLine => ({
  kind,
  title,
  detail: '',
  minutes: null,
  act: 'Open',
  href: '/',
});
const lines = fc
  .array(fc.constantFrom(...TODAY_KINDS), { maxLength: 60 })
  .map((kinds) => kinds.map((k, i) => line(k, `${k} ${i}`)));

test('ten lines at most, in the order of the day, none twice, none made up', () => {
  fc.assert(
    fc.property(lines, (all) => {
      const { lines: day, more } = dayOf(all);
      expect(day.length).toBe(Math.min(MOST_LINES, all.length));
      expect(more).toBe(all.length - day.length);
      expect(new Set(day).size).toBe(day.length);
      expect(day.every((l) => all.includes(l))).toBe(true);
      const order = day.map((l) => TODAY_KINDS.indexOf(l.kind));
      expect(order).toEqual([...order].sort((a, b) => a - b));
    }),
  );
});

test('no kind is crowded out by another, and within a kind the first come first', () => {
  fc.assert(
    fc.property(lines, (all) => {
      const { lines: day } = dayOf(all);
      for (const kind of new Set(all.map((l) => l.kind))) {
        const own = day.filter((l) => l.kind === kind);
        expect(own.length).toBeGreaterThan(0);
        expect(own).toEqual(all.filter((l) => l.kind === kind).slice(0, own.length));
      }
    }),
  );
});
