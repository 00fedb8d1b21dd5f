import type { EntryFields, EntryHead } from '../fields/entry';
import type { FootId } from '../tables/techniques';
export { LOG_KINDS, type LogKind, type Setting } from './kinds';

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
export interface LogEntry extends EntryHead, EntryFields {
  /** When, by the device’s own clock; ISO. */
  at: string;
  /** When by the studio’s clock, once the studio’s computer has it; ISO. */
  happenedAt?: string;
  /** For `setting-changed` and `thread-changed`: from which value to which, and in which zones. */
  from?: string | number;
  to?: string | number;
  zones?: string[];
  /** For `fault`. */
  symptoms?: string[];
  /** Who wrote it, where the studio has several people; told by the studio’s computer. */
  who?: string;
}

/** When an entry happened, milliseconds: by the studio’s clock where it is known, else by the device’s. */
export const happenedMs = (e: Pick<LogEntry, 'at' | 'happenedAt'>): number =>
  Date.parse(e.happenedAt ?? e.at);

/** Entries in the order they happened; those of the same moment by their ids, so that every device has the same order. */
export const inOrder = <T extends Pick<LogEntry, 'at' | 'happenedAt' | 'id'>>(entries: readonly T[]): T[] =>
  [...entries].sort((a, b) => happenedMs(a) - happenedMs(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0));
