/** What a pattern is looked for by. */
export interface PatternWish {
  letters: string;
  /** A row no deeper than this, inches. */
  mostHeightIn?: number;
  /** No tighter curve than this, inches. */
  leastRadiusIn?: number;
  /** Nothing more open than this, inches. */
  mostGapIn?: number;
}

/** What is known of a pattern where it is looked for. */
export interface SoughtPattern {
  name: string;
  words: string;
  measured: { heightIn: number; minRadiusIn: number | null; largestGapIn: number };
}

/** Patterns that meet a wish, in the order they came; every word of it has to be in the name or the words. */
export function searchPatterns<P extends SoughtPattern>(patterns: readonly P[], wish: PatternWish): P[] {
  const letters = wish.letters
    .toLowerCase()
    .split(/[\s,]+/u)
    .filter(Boolean);
  return patterns.filter((p) => {
    const text = `${p.name} ${p.words}`.toLowerCase();
    const { heightIn, minRadiusIn, largestGapIn } = p.measured;
    return (
      letters.every((l) => text.includes(l)) &&
      (wish.mostHeightIn === undefined || heightIn <= wish.mostHeightIn + 1e-9) &&
      (wish.leastRadiusIn === undefined ||
        minRadiusIn === null ||
        minRadiusIn >= wish.leastRadiusIn - 1e-9) &&
      (wish.mostGapIn === undefined || largestGapIn <= wish.mostGapIn + 1e-9)
    );
  });
}
