import { EYE_SHARE, type Eye } from '../tables/needles';
import { diameterMm, type Thread } from '../thread/thread';

/** Width of a needle's eye in mm: 0.40 of the blade, 0.52 for a large eye (judgement). */
export const eyeWidthMm = (nm: number, eye: Eye = 'standard'): number => (EYE_SHARE[eye] * nm) / 100;

/** Thread diameter over eye width, r = d/w. Best 0.40–0.58, usable 0.28–0.64. */
export const eyeRatio = (thread: Thread, nm: number, eye: Eye = 'standard'): number =>
  diameterMm(thread) / eyeWidthMm(nm, eye);

export const EYE_BEST = [0.4, 0.58] as const;
export const EYE_USABLE = [0.28, 0.64] as const;
