import type { LogEntry } from '@/core/stand/log';

/** What each entry is called in a list. */
export const KIND_WORDS: Record<LogEntry['kind'], string> = {
  'step-begun': 'begun',
  'step-paused': 'paused',
  'step-resumed': 'went on',
  'step-done': 'step done',
  advanced: 'advanced',
  'bobbin-changed': 'bobbin changed',
  'needle-changed': 'needle changed',
  'thread-changed': 'thread changed',
  'width-measured': 'width measured',
  'back-checked': 'back looked at',
  fault: 'fault',
  'fault-mended': 'fault mended',
  note: 'note',
  undone: 'taken back',
};
