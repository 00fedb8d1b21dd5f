import type { FootId } from '../tables/techniques';

/** What is logged at the machine. */
export const LOG_KINDS = [
  'step-begun',
  'step-paused',
  'step-resumed',
  'step-done',
  'zone-begun',
  'advanced',
  'bobbin-changed',
  'needle-changed',
  'thread-changed',
  'setting-changed',
  'width-measured',
  'back-checked',
  'fault',
  'fault-mended',
  'note',
  'undone',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** What can be set otherwise at the machine than the card says. */
export const SETTINGS = ['foot', 'topGf', 'bobbinGf', 'spi', 'handInPerS', 'topId', 'bobbinId'] as const;
export type Setting = (typeof SETTINGS)[number];

/** What was set at the machine, by what was set; lengths and speeds in inches, tensions in gf, threads by their cones. */
export interface Settings {
  foot?: FootId;
  topGf?: number;
  bobbinGf?: number;
  spi?: number;
  handInPerS?: number;
  topId?: string;
  bobbinId?: string;
}

/** One entry, as a device writes it. It is only ever added; what is taken back is another entry. */
export interface LogEntry {
  /** UUID v7, made by the device. */
  id: string;
  quiltId: string;
  kind: LogKind;
  /** When, by the device’s own clock; ISO. */
  at: string;
  /** When by the studio’s clock, once the studio’s computer has it; ISO. */
  happenedAt?: string;
  pass?: number;
  /** Cone: of a step its top thread, of a bobbin the thread that is on it. */
  thread?: string;
  stabilise?: boolean;
  minutes?: number;
  /** For `width-measured`, inches. */
  widthIn?: number;
  /** For `needle-changed`. */
  nm?: number;
  eye?: string;
  point?: string;
  coated?: boolean;
  /** For `setting-changed` and `thread-changed`: what, from which value to which, and in which zones. */
  setting?: Setting;
  from?: string | number;
  to?: string | number;
  zones?: string[];
  /** For `bobbin-changed`: it was wound just now, so many metres. */
  woundM?: number;
  /** For `fault`. */
  symptoms?: string[];
  zoneId?: string;
  xIn?: number;
  yIn?: number;
  direction?: string;
  severity?: number;
  /** Stitches of the step sewn so far, as the clock or the machine says. */
  stitches?: number;
  /** For `fault-mended`. */
  faultId?: string;
  note?: string;
  photographId?: string;
  /** For `step-paused` after an absence: it was no sewing. */
  away?: boolean;
  /** For `undone`: the entry that is taken back. */
  undoes?: string;
}

/** When an entry happened, milliseconds: by the studio’s clock where it is known, else by the device’s. */
export const happenedMs = (e: Pick<LogEntry, 'at' | 'happenedAt'>): number =>
  Date.parse(e.happenedAt ?? e.at);

/** Entries in the order they happened; those of the same moment by their ids, so that every device has the same order. */
export const inOrder = <T extends Pick<LogEntry, 'at' | 'happenedAt' | 'id'>>(entries: readonly T[]): T[] =>
  [...entries].sort((a, b) => happenedMs(a) - happenedMs(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
