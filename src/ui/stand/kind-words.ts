import type { LogEntry } from '@/core/log/entry';
import { FOOT_LABEL, type FootId } from '@/core/tables/techniques';
import { gramsText } from '@/core/units/force';

/** What each entry is called in a list. */
export const KIND_WORDS: Record<LogEntry['kind'], string> = {
  'step-begun': 'step begun',
  'step-paused': 'paused',
  'step-resumed': 'went on',
  'step-done': 'step finished',
  'zone-begun': 'zone begun',
  advanced: 'advanced',
  'bobbin-changed': 'bobbin changed',
  'needle-changed': 'needle changed',
  'thread-changed': 'thread changed',
  'setting-changed': 'setting changed',
  'width-measured': 'width measured',
  'back-checked': 'back checked',
  fault: 'fault',
  'fault-mended': 'fault mended',
  'care-done': 'machine cared for',
  'air-noted': 'air noted',
  note: 'note',
  undone: 'undone',
};

const SETTING_WORDS = {
  foot: (v: string | number) => FOOT_LABEL[v as FootId] ?? String(v),
  topGf: (v: string | number) => `top tension ${gramsText(Number(v))} g`,
  bobbinGf: (v: string | number) => `bobbin tension ${gramsText(Number(v))} g`,
  spi: (v: string | number) => `${Number(Number(v).toFixed(1))} spi`,
  handInPerS: (v: string | number) => `sewing speed ${Number(v).toFixed(1)} in/s`,
} as const;

/** A change at the machine in words: what, from which value to which. */
export function settingWords(e: LogEntry, nameOf: (cone: string) => string): string {
  if (e.to === undefined) return KIND_WORDS[e.kind];
  if (e.setting === 'topId' || e.setting === 'bobbinId' || e.setting === undefined) {
    const what = e.setting === 'bobbinId' ? 'bobbin thread' : 'top thread';
    return `${what} ${e.from === undefined ? '' : `${nameOf(String(e.from))} → `}${nameOf(String(e.to))}`;
  }
  const say = SETTING_WORDS[e.setting];
  return e.from === undefined ? say(e.to) : `${say(e.from)} → ${say(e.to)}`;
}
