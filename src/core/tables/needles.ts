/** Metric sizes (blade diameter in 1/100 mm) and their US numbers. */
export const NEEDLE_SIZES: readonly { nm: number; us: number }[] = [
  { nm: 60, us: 8 },
  { nm: 65, us: 9 },
  { nm: 70, us: 10 },
  { nm: 75, us: 11 },
  { nm: 80, us: 12 },
  { nm: 90, us: 14 },
  { nm: 100, us: 16 },
  { nm: 110, us: 18 },
  { nm: 120, us: 19 },
  { nm: 125, us: 20 },
  { nm: 130, us: 21 },
  { nm: 140, us: 22 },
];

export type Eye = 'standard' | 'large';
export type Point = 'sharp' | 'micro-sharp' | 'light-ball';

export const EYES: readonly Eye[] = ['standard', 'large'];
export const POINTS: readonly Point[] = ['sharp', 'micro-sharp', 'light-ball'];
export const POINT_LABEL: Record<Point, string> = {
  sharp: 'sharp point',
  'micro-sharp': 'micro-sharp point',
  'light-ball': 'light ball point',
};

/** Width of the eye as a share of the blade's diameter. */
export const EYE_SHARE: Record<Eye, number> = { standard: 0.4, large: 0.52 };

/** US number of a metric size, or null when the size is not in the usual series. */
/** Third names some makers’ needles carry, by the metric size. */
const THIRD_NAME: Readonly<Record<number, string>> = {
  90: '3.0',
  100: '3.5',
  110: '4.0',
  120: '4.5',
  130: '5.0',
};

/** A needle’s size under all the names it has. @example needleName(100) // 'Nm 100 · US 16 · 3.5' */
export const needleName = (nm: number, eye: Eye = 'standard'): string =>
  [`Nm ${nm}`, usSize(nm) && `US ${usSize(nm)}`, THIRD_NAME[nm]].filter(Boolean).join(' · ') +
  (eye === 'large' ? ', large eye' : '');

/** The American size of a needle of so many Nm (hundredths of a mm); null where there is none. */
export const usSize = (nm: number): number | null => NEEDLE_SIZES.find((s) => s.nm === nm)?.us ?? null;
