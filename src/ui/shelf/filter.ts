import { compareColour, compareThickness, nearColour } from '@/core/shelf/order';
import type { Cone } from '@/data/types';

export interface ShelfFilter {
  find: string;
  fibre: string;
  texFrom: number | null;
  texTo: number | null;
  /** Only colours within ΔE of this one. */
  near: string | null;
  within: number;
  low: boolean;
  away: boolean;
  order: 'colour' | 'thickness';
}

const byLetters = new Intl.Collator();
export const ALL = 'all';
export const NO_FILTER: ShelfFilter = {
  find: '',
  fibre: ALL,
  texFrom: null,
  texTo: null,
  near: null,
  within: 15,
  low: false,
  away: false,
  order: 'colour',
};

/** The cones that a filter lets through, in its order. */
export function shelve(cones: readonly Cone[], f: ShelfFilter, lowM: number): Cone[] {
  const letters = f.find.trim().toLowerCase();
  const through = cones.filter(
    (c) =>
      (c.archivedAt !== null) === f.away &&
      (f.fibre === ALL || c.fibre === f.fibre) &&
      (f.texFrom === null || c.tex >= f.texFrom) &&
      (f.texTo === null || c.tex <= f.texTo) &&
      (!f.low || (c.remainingM !== null && c.remainingM < lowM)) &&
      (f.near === null || nearColour(c.hex, f.near, f.within)) &&
      (!letters || `${c.line} ${c.colour} ${c.label} ${c.place} ${c.notes}`.toLowerCase().includes(letters)),
  );
  const byName = (a: Cone, b: Cone) =>
    byLetters.compare(a.line, b.line) || byLetters.compare(a.colour, b.colour);
  return through.sort((a, b) =>
    f.order === 'colour'
      ? compareColour(a.hex, b.hex) || byName(a, b)
      : compareThickness(a, b) || byName(a, b),
  );
}
