import { safety, type SafetyCode } from '../cautions/cautions';
import { CoreError } from '../notes';
import { battings } from './battings';
import { SHINES, WEAVES } from './cloth-looks';
import { fabrics } from './fabrics';
import { features } from './features';
import { fibres } from './fibres';
import type { Table } from './lookup';
import { NEEDLE_SIZES, POINTS, usSize } from './needles';
import { symptoms } from './symptoms';
import { FEET, FOOT_LABEL, techniques } from './techniques';

const tables: [string, Table<{ id: string; label?: string }>][] = [
  ['fabrics', fabrics],
  ['battings', battings],
  ['fibres', fibres],
  ['features', features],
  ['techniques', techniques],
  ['symptoms', symptoms],
];
const between = (value: number, low: number, high: number) => {
  expect(value).toBeGreaterThanOrEqual(low);
  expect(value).toBeLessThanOrEqual(high);
};

describe.each(tables)('the table of %s', (_, t) => {
  test('has each id once, written plainly, and a word for it', () => {
    expect(new Set(t.ids).size).toBe(t.ids.length);
    for (const row of t.rows) {
      expect(row.id).toMatch(/^[a-z0-9]+([-_][a-z0-9]+)*$/);
      expect(row.label?.trim()).toBeTruthy();
    }
  });
  test('gives a row by its id; an id it has not is named with those it has, at its place', () => {
    const id = t.ids[0]!;
    expect(t.get(id)).toBe(t.find(id));
    expect(t.find('no such thing')).toBeUndefined();
    try {
      t.get('no such thing', 'zone.top');
      throw new Error('it was guessed at');
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError);
      expect(error).toMatchObject({ code: 'unknown-id', path: 'zone.top' });
      expect((error as CoreError).message).toContain(id);
    }
  });
  test('holds only numbers that are finite', () => {
    for (const row of t.rows)
      for (const value of Object.values(row).flat())
        if (typeof value === 'number') expect(Number.isFinite(value)).toBe(true);
  });
});

test.each(fabrics.rows.map((f) => [f.id, f] as const))('%s is a fabric that could be', (_, f) => {
  between(f.thicknessMm, 0.05, 6);
  between(f.gM2, 30, 900);
  between(f.firmness, 0.4, 3);
  for (const grade of [f.stretch, f.keepsHoles]) between(grade, 0, 3);
  between(f.wear, 0.2, 1);
  between(f.shrinkPct, 0, 12);
  expect(POINTS).toContain(f.point);
});
test('an unknown fabric is not treated as kinder than quilting cotton', () => {
  const [unknown, cotton] = [fabrics.get('unknown'), fabrics.get('quilting-cotton')];
  expect(unknown.firmness).toBeGreaterThanOrEqual(cotton.firmness);
  expect(unknown.keepsHoles).toBeGreaterThanOrEqual(cotton.keepsHoles);
  expect(unknown.wear).toBeLessThanOrEqual(cotton.wear);
});
test.each(battings.rows.map((b) => [b.id, b] as const))('%s is a batting that could be', (_, b) => {
  between(b.loftMm, 0.3, 20);
  between(b.compression, 0.05, 1);
  between(b.maxGapIn, b.gapRangeIn[0], b.gapRangeIn[1]);
  between(b.shrinkPct, 0, 10);
});
test.each(fibres.rows.map((f) => [f.id, f] as const))('%s is a fibre that could be', (_, f) => {
  between(f.densityGCm3, 0.9, 9);
  between(f.packing, 0.3, 1);
  between(f.tenacityCnTex, f.tenacityRange[0], f.tenacityRange[1]);
  between(f.lint, 0, 3);
  between(f.needleWear, 0.2, 1);
  between(f.washRisk, 0, 1);
  expect(f.texRange[0]).toBeLessThan(f.texRange[1]);
  if (f.mono) expect(f.surface).toBe('filament');
  // What is said of washing rests on the note.
  if (f.washRisk > 0) expect(f.note).toMatch(/\w.*\.$/);
});
test.each(techniques.rows.map((t) => [t.id, t] as const))('%s is a technique that can be sewn', (_, t) => {
  between(t.handInPerS, 0.1, 6);
  between(t.baseSpi, 3, 16);
  between(t.backtrack, 0, 2);
  between(t.forgiving, 1, 5);
  between(t.usualSpacingIn, 0.05, 8);
  if (typeof t.radiusIn === 'number') between(t.radiusIn, 0.03, 10);
  if (t.density.kind === 'spacing') between(t.density.k, 0.9, 5);
  expect(t.foot === 'any' || FEET.includes(t.foot)).toBe(true);
  if (t.besideRuler) expect(t.foot).toBe('ruler');
});
test('every foot has a word', () => {
  for (const foot of FEET) expect(FOOT_LABEL[foot]).toMatch(/^[A-Z]/);
});
test.each(features.rows.map((f) => [f.id, f] as const))('%s says what to do about it', (_, f) => {
  expect(f.advice).toMatch(/^[A-Z].*\.$/);
  between(f.firmness, 0.5, 3);
  between(f.firmnessAtSpots, 1, 5);
  between(f.wear, 0.2, 1);
  between(f.largerNeedle, 0, 2);
});
test.each(symptoms.rows.map((x) => [x.id, x] as const))(
  '%s is told so that two people see the same',
  (_, x) => {
    expect(new Set(x.severity).size).toBe(4);
    expect(x.severity[0]).toBe('none');
    for (const text of [x.description, x.howToSee]) expect(text).toMatch(/^[A-Z].*\.$/s);
  },
);
test('needle sizes rise in both series, and a size outside has no US number', () => {
  for (const [i, s] of NEEDLE_SIZES.slice(1).entries()) {
    expect(s.nm).toBeGreaterThan(NEEDLE_SIZES[i]!.nm);
    expect(s.us).toBeGreaterThan(NEEDLE_SIZES[i]!.us);
  }
  expect(usSize(100)).toBe(16);
  expect(usSize(97)).toBeNull();
});
test('every kind of fabric but the unknown one can be told by hand and eye, each in its own way', () => {
  for (const { looks: look } of fabrics.rows) {
    if (!look) continue;
    expect(WEAVES).toContain(look.weave);
    expect(SHINES).toContain(look.shine);
  }
});
test.each<SafetyCode>([
  'hands-near-needle',
  'power-off-service',
  'needle-break-eyes',
  'ruler-thickness',
  'stop-before-lift',
  'posture-break',
  'reach',
  'fumes-fibres',
  'heat-marking',
  'monofilament-child',
  'monofilament-iron',
  'small-parts-child',
  'pinch',
  'mains-near-liquid',
])('the caution %s is a sentence, at the severity its step calls for', (code) => {
  expect(safety(code)).toMatchObject({ code, severity: 'warn' });
  expect(safety(code, 'stop').severity).toBe('stop');
  expect(safety(code).text).toMatch(/^[A-Z].*\.$/s);
});
test('work on the machine’s inside is left to those who are qualified', () => {
  expect(safety('power-off-service').text).toMatch(/qualified technician and local electrical rules/);
  expect(safety('ruler-thickness').text).toMatch(/machine’s/);
});
