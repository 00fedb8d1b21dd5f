import { chooseNeedle, type SizeVerdict } from '../needle/needle';
import { fibres } from '../tables/fibres';
import { NEEDLE_SIZES } from '../tables/needles';
import { inEveryCount } from '../thread/describe';
import { loopStrengthGf, type Thread } from '../thread/thread';

export interface ComparedThread extends Thread {
  id: string;
  name: string;
}

/** Everything worth comparing of one thread. */
export function threadFacts(thread: Thread) {
  const fibre = fibres.get(thread.fibre, 'fibre');
  const choice = chooseNeedle({
    thread,
    spi: 11,
    sandwich: { top: [{ fabric: 'quilting-cotton' }], battingId: 'cotton-80-20', backing: 'quilting-cotton' },
    owned: NEEDLE_SIZES.map((s) => s.nm),
    eye: fibre.eye,
  });
  return {
    ...inEveryCount(thread),
    loopGf: loopStrengthGf(thread),
    lint: fibre.lint,
    heat: fibre.note,
    eye: fibre.eye,
    bestNeedle: choice.best,
    sizes: choice.sizes as SizeVerdict[],
  };
}

/** Piecing wants a fine thread that hides in the seam, is strong, and stands a hot iron (judgement). */
const PIECE_MOST_MM = 0.23;
const PIECE_LEAST_GF = 350;

export interface Comparison {
  thickest: ComparedThread;
  thinnest: ComparedThread;
  strongest: ComparedThread;
  /** Times the thinnest's diameter, and the weakest's breaking load. */
  timesAsThick: number;
  timesAsStrong: number;
  /** True when the thickest is also the strongest: not a rule, fibre decides. */
  thickerIsStronger: boolean;
  piecing: { id: string; fits: boolean; why: string }[];
}

/** Which is thicker, which is stronger, can I piece with it: for two threads or more. */
export function compareThreads(threads: readonly ComparedThread[]): Comparison {
  const measured = threads.map((t) => ({ t, ...inEveryCount(t) }));
  const by = (key: 'diameterMm' | 'breakGf') => [...measured].sort((a, b) => b[key] - a[key]);
  const [thick, strong] = [by('diameterMm'), by('breakGf')];
  return {
    thickest: thick[0]!.t,
    thinnest: thick.at(-1)!.t,
    strongest: strong[0]!.t,
    timesAsThick: thick[0]!.diameterMm / thick.at(-1)!.diameterMm,
    timesAsStrong: strong[0]!.breakGf / strong.at(-1)!.breakGf,
    thickerIsStronger: thick[0]!.t.id === strong[0]!.t.id,
    piecing: measured.map(({ t, diameterMm, breakGf }) => {
      const fibre = fibres.get(t.fibre);
      const why = !fibre.bobbin
        ? `${fibre.label} does not hold a seam`
        : diameterMm > PIECE_MOST_MM
          ? `at ${diameterMm.toFixed(2)} mm it adds bulk to the seam`
          : breakGf < PIECE_LEAST_GF
            ? `it breaks at ${Math.round(breakGf)} g, too weak for a seam`
            : fibre.washRisk > 0.5
              ? `${fibre.label} is weak when wet`
              : '';
      return { id: t.id, fits: why === '', why: why || 'fine and strong enough, and stands the iron' };
    }),
  };
}
