/** What is logged at the machine. */
export const LOG_KINDS = [
  'step-begun',
  'step-paused',
  'step-resumed',
  'step-done',
  'advanced',
  'bobbin-changed',
  'needle-changed',
  'thread-changed',
  'width-measured',
  'back-checked',
  'fault',
  'fault-mended',
  'note',
  'undone',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** One entry, as a device writes it. It is only ever added; what is taken back is another entry. */
export interface LogEntry {
  /** UUID v7, made by the device. */
  id: string;
  quiltId: string;
  kind: LogKind;
  /** When, by the device’s own clock; ISO. */
  at: string;
  pass?: number;
  /** Cone. */
  thread?: string;
  stabilise?: boolean;
  minutes?: number;
  /** For `width-measured`, inches. */
  widthIn?: number;
  /** For `needle-changed`. */
  nm?: number;
  eye?: string;
  point?: string;
  /** For `fault`. */
  symptoms?: string[];
  zoneId?: string;
  xIn?: number;
  yIn?: number;
  direction?: string;
  severity?: number;
  /** For `fault-mended`. */
  faultId?: string;
  note?: string;
  /** For `step-paused` after an absence: it was no sewing. */
  away?: boolean;
  /** For `undone`: the entry that is taken back. */
  undoes?: string;
}

/** Entries that stand: those taken back, and the taking back itself, are left out; a taking back can be taken back. */
export function standing<T extends Pick<LogEntry, 'id' | 'kind' | 'undoes'>>(entries: readonly T[]): T[] {
  const gone = new Set<string>();
  // The newest first: what takes back a taking back puts the first again.
  for (let i = entries.length - 1; i >= 0; i--) {
    const e = entries[i]!;
    if (e.kind === 'undone' && e.undoes && !gone.has(e.id)) gone.add(e.undoes);
  }
  return entries.filter((e) => e.kind !== 'undone' && !gone.has(e.id));
}
