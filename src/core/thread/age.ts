import { breakGf } from './thread';

/** How a cone was kept: in the dark, or in the light of a window. */
export type Storage = 'dark' | 'window';

/** Share of strength lost a year, as a rate, in the dark; four times as much in a window (judgements). */
const RATE: Readonly<Record<string, number>> = {
  'polyester-filament': 0.005,
  'polyester-corespun': 0.005,
  'polyester-spun': 0.005,
  'polyester-mono': 0.005,
  cotton: 0.02,
  rayon: 0.02,
  silk: 0.02,
  'wool-blend': 0.02,
  metallic: 0.02,
  soluble: 0.03,
  'nylon-mono': 0.03,
};
const OTHER_RATE = 0.02;
const IN_WINDOW = 4;
/** From here a thread is sound; from here it still bastes. */
const [SOUND, BASTES] = [0.8, 0.6];
const YEAR_MS = 365.25 * 86_400_000;

/** What of its strength a thread has left, `e^(−years·r)`, r by fibre, four times in a window. @returns a share, 0–1. */
export const ageStrength = (fibre: string, years: number, storage: Storage): number =>
  Math.exp(-Math.max(0, years) * (RATE[fibre] ?? OTHER_RATE) * (storage === 'window' ? IN_WINDOW : 1));

/** What is known of a cone’s age. */
export interface AgedThread {
  tex: number;
  fibre: string;
  /** yyyy-mm-dd; null where nobody knows. */
  boughtOn: string | null;
  /** Not said: in the dark. */
  storage: Storage | null;
  /** What it broke at when it was last pulled, g; overrules its age. */
  snapGf: number | null;
}

/** Whether a thread may still be sewn with. */
export interface Soundness {
  /** Of its strength as new, 0–1. */
  share: number;
  word: 'sound' | 'basting' | 'out';
  by: 'snap' | 'age';
}

/** How sound a thread is: by its snap test where it was pulled, else by its age; null where neither is known. @param today milliseconds. */
export function soundness(t: AgedThread, today: number): Soundness | null {
  const share =
    t.snapGf !== null
      ? t.snapGf / breakGf(t)
      : t.boughtOn === null
        ? null
        : ageStrength(t.fibre, (today - Date.parse(t.boughtOn)) / YEAR_MS, t.storage ?? 'dark');
  if (share === null) return null;
  return {
    share: Math.min(1, share),
    word: share >= SOUND ? 'sound' : share >= BASTES ? 'basting' : 'out',
    by: t.snapGf !== null ? 'snap' : 'age',
  };
}

/** What a thread’s age means, in words. */
export function soundnessWords({ share, word, by }: Soundness): string {
  const at = `${Math.round(share * 100)} % of its strength as new${by === 'snap' ? ', pulled' : ', by its age'}`;
  if (word === 'sound') return at;
  return word === 'basting' ? `${at}: for basting only` : `${at}: not to be sewn with`;
}
