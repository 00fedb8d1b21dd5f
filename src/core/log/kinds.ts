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
  'care-done',
  'air-noted',
  'note',
  'undone',
] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** What can be set otherwise at the machine than the card says. */
export const SETTINGS = ['foot', 'topGf', 'bobbinGf', 'spi', 'handInPerS', 'topId', 'bobbinId'] as const;
export type Setting = (typeof SETTINGS)[number];
