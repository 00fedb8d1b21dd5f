/** What each criterion is called and what it counts, in one place, so that a studio's log can correct it (judgement). */
export const CRITERIA = {
  visibility: { label: 'Colour', weight: 3 },
  thickness: { label: 'Thickness', weight: 1.2 },
  'build-up': { label: 'Sewn twice', weight: 2 },
  cover: { label: 'Thread cover', weight: 1 },
  eye: { label: 'Eye', weight: 1 },
  flex: { label: 'Needle bend', weight: 1 },
  holes: { label: 'Needle holes', weight: 1 },
  needle: { label: 'Blade and point', weight: 1 },
  strength: { label: 'Strength', weight: 1 },
  abrasion: { label: 'Rubbing', weight: 1.2 },
  fuss: { label: 'Running', weight: 0.8 },
  lint: { label: 'Lint', weight: 0.25 },
  child: { label: 'A child’s quilt', weight: 8 },
  iron: { label: 'Ironing', weight: 0.6 },
  washing: { label: 'Washing', weight: 0.6 },
  soluble: { label: 'Lasting', weight: 8 },
  'thread-change': { label: 'Thread change', weight: 0.3 },
  record: { label: 'Your own faults', weight: 1 },
  'bobbin-size': { label: 'Bobbin size', weight: 1.4 },
  'bobbin-kind': { label: 'Bobbin thread', weight: 0.5 },
  'bobbin-colour': { label: 'Bobbin colour', weight: 1 },
  stock: { label: 'Stock', weight: 1.5 },
} as const satisfies Record<string, { label: string; weight: number }>;

export type Criterion = keyof typeof CRITERIA;
