import type { Caution } from '../notes';

/** Grades of a bleeding test: wet white fabric laid on each strong colour for ten minutes. */
export const BLEED_GRADES = [
  { value: 1, label: '1: the white is dyed' },
  { value: 2, label: '2: clearly stained' },
  { value: 3, label: '3: a trace' },
  { value: 4, label: '4: hardly to be seen' },
  { value: 5, label: '5: clean' },
] as const;

/** What a bleeding test asks of a quilt, in words for its sheet; nothing where it is clean, or was not tested. @param grade 1 heavy to 5 clean. */
export function bleedingCare(grade: number | null): { wash: string[]; caution: Caution | null } {
  if (grade === null || grade >= 4) return { wash: [], caution: null };
  const care = [
    'First wash cold and alone, with a dye-catching sheet for each kilogram.',
    'No dryer and no iron until a sheet stays white.',
  ];
  if (grade === 3) return { wash: care, caution: null };
  return {
    wash: care,
    caution: {
      code: 'bleeding-dye',
      severity: 'stop',
      text: 'Its dye bleeds: fabrics are washed first, and a top that is pieced already only with the client’s yes. No steam, no wet marks.',
    },
  };
}
