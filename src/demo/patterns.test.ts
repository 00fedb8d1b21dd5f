import { measurePattern, patternLines } from '@/core/pattern/pattern';
import { searchPatterns } from '@/core/pattern/search';
import { demoPatterns } from './patterns';

describe('the demo’s dozen', () => {
  test.each(demoPatterns.map((p) => [p.name, p] as const))(
    '%s goes on row by row and can be measured',
    (_, p) => {
      const m = measurePattern({ svg: p.svg, widthIn: p.widthIn });
      expect(m.widthIn).toBeCloseTo(p.widthIn, 6);
      expect(m.lengthIn).toBeGreaterThan(p.widthIn * 0.9);
      expect(patternLines({ svg: p.svg, widthIn: p.widthIn }).goesOn).toBe(true);
    },
  );
  test('are found by word, height, curve and openness', () => {
    const shelf = demoPatterns.map((p) => {
      const { heightIn, minRadiusIn, largestGapIn } = measurePattern({ svg: p.svg, widthIn: p.widthIn });
      return { name: p.name, words: p.words, measured: { heightIn, minRadiusIn, largestGapIn } };
    });
    expect(searchPatterns(shelf, { letters: 'WATER calm' }).map((p) => p.name)).toEqual(['Slack water']);
    for (const p of searchPatterns(shelf, { letters: '', mostHeightIn: 3 }))
      expect(p.measured.heightIn).toBeLessThanOrEqual(3.001);
    expect(searchPatterns(shelf, { letters: 'zeppelin' })).toEqual([]);
  });
});
