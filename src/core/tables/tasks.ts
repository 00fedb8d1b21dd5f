import { table } from './lookup';

/** What of a quilt a task's minutes follow from: its sides and area, inches, and how many pieces of piecing it has. */
export interface TaskSize {
  widthIn: number;
  lengthIn: number;
  pieces: number;
  /** Seams in its backing, and their length. */
  backingSeams: number;
  backingSeamIn: number;
}

/** A task before or after the frame: who usually does it and how long it takes. Judgements, editable by the log. */
export interface Task {
  id: string;
  label: string;
  /** On the bill of it. */
  when: 'before' | 'after';
  /** Usually the studio's, the client's, or either's. */
  by: 'studio' | 'client' | 'either';
  minutes: (q: TaskSize) => number;
  /** The 80 % range about the middle. */
  range: readonly [number, number];
  /** Stands in an offer unless it is taken out. */
  usual: boolean;
  /** Days it dries, when nobody works on it. */
  driesDays: number;
}

const area = (q: TaskSize) => q.widthIn * q.lengthIn;
const round = (q: TaskSize) => 2 * (q.widthIn + q.lengthIn);
const USUAL = { range: [0.7, 1.4], usual: false, driesDays: 0 } as const;
const task = (own: Omit<Task, keyof typeof USUAL> & Partial<Task>): Task => ({ ...USUAL, ...own });

export const TASKS = table<Task>('Task', [
  task({
    id: 'look-over',
    label: 'looking it over',
    when: 'before',
    by: 'studio',
    minutes: (q) => 6 + area(q) / 800,
    usual: true,
  }),
  task({
    id: 'clip-threads',
    label: 'clipping threads on the back',
    when: 'before',
    by: 'client',
    minutes: (q) => 5 + 0.04 * q.pieces,
    range: [0.5, 2],
  }),
  task({
    id: 'press-top',
    label: 'pressing the top',
    when: 'before',
    by: 'client',
    minutes: (q) => 5 + area(q) / 250,
  }),
  task({
    id: 'press-backing',
    label: 'pressing the backing',
    when: 'before',
    by: 'client',
    minutes: (q) => 5 + area(q) / 350,
  }),
  task({
    id: 'piece-backing',
    label: 'piecing the backing',
    when: 'before',
    by: 'client',
    minutes: (q) => 8 * q.backingSeams + 0.12 * q.backingSeamIn,
  }),
  task({
    id: 'square-backing',
    label: 'squaring the backing',
    when: 'before',
    by: 'client',
    minutes: (q) => 8 + 0.02 * round(q),
  }),
  task({
    id: 'join-batting',
    label: 'joining the batting',
    when: 'before',
    by: 'studio',
    minutes: (q) => 5 + 0.15 * q.widthIn,
  }),
  task({
    id: 'look-out',
    label: 'looking it over and mending',
    when: 'after',
    by: 'studio',
    minutes: (q) => 8 + area(q) / 600,
    usual: true,
  }),
  task({ id: 'trim', label: 'trimming', when: 'after', by: 'studio', minutes: (q) => 4 + 0.035 * round(q) }),
  task({
    id: 'square',
    label: 'squaring to 1 %',
    when: 'after',
    by: 'studio',
    minutes: (q) => 0.015 * round(q),
  }),
  task({
    id: 'bind-make',
    label: 'making the binding',
    when: 'after',
    by: 'studio',
    minutes: (q) => 20 + 0.05 * round(q),
  }),
  task({
    id: 'bind-first',
    label: 'sewing the binding on',
    when: 'after',
    by: 'studio',
    minutes: (q) => 17 + 0.07 * round(q),
  }),
  task({
    id: 'bind-machine',
    label: 'its second side by machine',
    when: 'after',
    by: 'studio',
    minutes: (q) => 8 + 0.09 * round(q),
  }),
  task({
    id: 'bind-hand',
    label: 'its second side by hand',
    when: 'after',
    by: 'studio',
    minutes: (q) => 0.55 * round(q),
    range: [0.7, 1.6],
  }),
  task({
    id: 'sleeve',
    label: 'a hanging sleeve',
    when: 'after',
    by: 'studio',
    minutes: (q) => 20 + 0.8 * q.widthIn,
  }),
  task({ id: 'label', label: 'a label', when: 'after', by: 'studio', minutes: () => 12 }),
  task({
    id: 'unmark',
    label: 'taking marks out',
    when: 'after',
    by: 'studio',
    minutes: (q) => 5 + area(q) / 400,
    range: [0.6, 1.7],
    // Marks are soaked out: flat, it is dry the next day or the one after.
    driesDays: 2,
  }),
  task({ id: 'pack', label: 'packing', when: 'after', by: 'studio', minutes: () => 10, usual: true }),
]);
