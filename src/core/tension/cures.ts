/** Quick things to try where a test differs by direction: not tension, mostly. */
export interface QuickCure {
  kind: 'needle' | 'net' | 'path' | 'tension';
  label: string;
  act: string;
}

export const QUICK_CURES: readonly QuickCure[] = [
  {
    kind: 'needle',
    label: 'A new needle',
    act: 'Power off. Put in a new needle of the same size, scarf to the hook, pushed all the way up; sew the four ways again.',
  },
  {
    kind: 'net',
    label: 'A net over the cone',
    act: 'Slip a thread net over the cone, so that the thread comes off evenly; sew the four ways again.',
  },
  {
    kind: 'path',
    label: 'Threaded anew',
    act: 'Foot up, thread out, and thread it again through every guide and between the discs; sew the four ways again.',
  },
  {
    kind: 'tension',
    label: 'One more look at the tension',
    act: 'Set the top where the two ways that differ most would meet, and sew both once more.',
  },
];
