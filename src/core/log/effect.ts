import type { Part } from '../hours/step';
import { handTime } from '../hours/hand-time';
import type { LogEntry } from './entry';
import { type DoneStep, standingSettings } from './fold';

/** A zone of a step as its card stood when the step was told done. */
export interface BasisZone {
  zoneId: string;
  letter: string;
  /** Stitches and metres of top and bobbin thread the plan has for this zone in this pass. */
  stitches: number;
  topM: number;
  bobbinM: number;
  topId: string;
  bobbinId: string;
  needleNm: number;
  spi: number;
  handInPerS: number;
  /** How much a stitch here wears a needle: stitches count by this much more or less. */
  wearFactor: number;
  part: Part;
  /** When its card was chosen, milliseconds. */
  chosenAt: number;
}

/** What a step that was sewn rested on: kept with its entry. */
export interface StepBasis {
  pass: number;
  thread: string;
  stabilise: boolean;
  /** Minutes of the step's acts at the frame that belong to no zone. */
  actsMin: number;
  zones: readonly BasisZone[];
}

/** What was really sewn in a zone. */
export interface SewnZone {
  zoneId: string;
  letter: string;
  topId: string;
  bobbinId: string;
  needleNm: number;
  stitches: number;
  topM: number;
  worn: number;
}

/** What a sewn step changes in the studio's tables. */
export interface StepEffect {
  minutes: number | null;
  parts: Part[];
  zones: SewnZone[];
  stitches: number;
  worn: number;
}

/** Shorter than this nobody sews a step: the tap was forgotten, and teaches nothing. Minutes. */
const LEAST_MIN = 0.5;

const minutesOf = (e: LogEntry) => (e.minutes !== undefined && e.minutes >= LEAST_MIN ? e.minutes : null);

/**
 * What a step changes, from what it rested on and how the machine stood when it was done: the thread that was really on
 * it, the needle really in it, and the speed the hands really kept. Pure, so that taken back and put again it is the same.
 */
export function stepEffect(
  basis: StepBasis,
  { entry, settings, needle }: Omit<DoneStep, 'key' | 'saidBy'>,
): StepEffect {
  const told = basis.zones.map((z) => ({ z, own: standingSettings(settings.get(z.zoneId), z.chosenAt) }));
  const zones = told.map(({ z, own }): SewnZone => {
    const stitches = z.stitches * ((own.spi ?? z.spi) / z.spi);
    return {
      zoneId: z.zoneId,
      letter: z.letter,
      topId: own.topId ?? z.topId,
      bobbinId: own.bobbinId ?? z.bobbinId,
      needleNm: needle?.nm ?? z.needleNm,
      stitches,
      topM: z.topM,
      worn: stitches / z.wearFactor,
    };
  });
  const parts = told.map(({ z, own }, i): Part => {
    const part = own.handInPerS ? handTime(z.part, z.handInPerS, own.handInPerS) : z.part;
    return i === 0 ? { ...part, actsMin: part.actsMin + basis.actsMin } : part;
  });
  const sum = (of: (z: SewnZone) => number) => zones.reduce((s, z) => s + of(z), 0);
  return {
    minutes: minutesOf(entry),
    parts,
    zones,
    stitches: sum((z) => z.stitches),
    worn: sum((z) => z.worn),
  };
}
