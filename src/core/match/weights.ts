/** What each criterion counts, in one place, so that a studio's log can correct it (judgement). */
export const WEIGHTS = {
  visibility: 3,
  thickness: 1.2,
  'build-up': 2,
  cover: 1,
  needle: 1,
  strength: 1,
  abrasion: 1.2,
  fuss: 0.8,
  lint: 0.25,
  child: 8,
  iron: 0.6,
  soluble: 8,
  'bobbin-size': 1.4,
  'bobbin-kind': 0.5,
  'bobbin-colour': 1,
  stock: 1.5,
} as const;

export type Criterion = keyof typeof WEIGHTS;
