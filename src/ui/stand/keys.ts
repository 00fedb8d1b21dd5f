/** What can be done at the Stand with one key or one pedal. */
export const STAND_ACTS = [
  { id: 'go', label: 'Start, pause, go on', key: ' ' },
  { id: 'done', label: 'Finish step', key: 'Enter' },
  { id: 'zone', label: 'Next zone', key: 'z' },
  { id: 'fault', label: 'Fault', key: 'f' },
  { id: 'bobbin', label: 'Bobbin changed', key: 'b' },
  { id: 'needle', label: 'Needle changed', key: 'n' },
  { id: 'change', label: 'Change setting', key: 's' },
  { id: 'back', label: 'Back checked', key: 'c' },
  { id: 'advance', label: 'Advance', key: 'a' },
  { id: 'undo', label: 'Undo', key: 'u' },
] as const;
export type StandAct = (typeof STAND_ACTS)[number]['id'];
export type KeyMap = Record<StandAct, string>;

export const USUAL_KEYS = Object.fromEntries(STAND_ACTS.map((a) => [a.id, a.key])) as KeyMap;

/** The keys as they were set on this device; a stored map that cannot be read counts as none. */
export function readKeys(stored: string | null): KeyMap {
  try {
    const own = JSON.parse(stored ?? '{}') as Partial<Record<string, unknown>>;
    return Object.fromEntries(
      STAND_ACTS.map((a) => [a.id, typeof own[a.id] === 'string' && own[a.id] !== '' ? own[a.id] : a.key]),
    ) as KeyMap;
  } catch {
    return USUAL_KEYS;
  }
}

/** A key given to an act; whichever act had it before gets this one’s. */
export function withKey(keys: KeyMap, act: StandAct, key: string): KeyMap {
  const other = STAND_ACTS.find((a) => a.id !== act && keys[a.id] === key);
  return { ...keys, ...(other ? { [other.id]: keys[act] } : {}), [act]: key };
}

export const keyWords = (key: string): string =>
  key === ' ' ? 'Space' : key.length === 1 ? key.toUpperCase() : key;
