import { GLOSSARY, meaningOf } from './glossary';

test('about eighty terms, each once, each in a sentence that ends', () => {
  expect(GLOSSARY.length).toBeGreaterThanOrEqual(80);
  expect(new Set(GLOSSARY.map((g) => g.term)).size).toBe(GLOSSARY.length);
  for (const g of GLOSSARY) expect(g.means).toMatch(/^[A-Z].*\.$/);
});
test('a word is found by its other names, in any letters; one that stands nowhere is an error', () => {
  expect(meaningOf('Stitches per inch').term).toBe('spi');
  expect(meaningOf('thread nest').term).toBe('birdnest');
  expect(() => meaningOf('flibber')).toThrow(/no glossary/);
});
