import type { StepWork, LinkHead } from '@/actions/link';
import { asHandsMove, type Frame, framesOf, type LinkEvent, runsOf } from '@/core/stand-in/longarm';
import { seeded } from '@/core/statistics/random';

export interface LongarmOrder {
  head: LinkHead;
  work: StepWork;
  /** How many times faster than a real machine, 1 to 20. */
  speed: number;
  faults: { atStitch: number; event: LinkEvent }[];
  seed: number;
}
export type LongarmTold = { frames: Frame[] } | { done: true } | { failed: string };

const BATCH_MS = 1000;
/** Needle up, over to the next place, needle down. */
const MOVES_MS = 4000;
const PAUSES = [500, 1000, 2000, 4000, 8000] as const;

/** The stand-in longarm: sews what it was told, and sends its readings over the link as a real one would, until it is done. */
export async function runLongarm(order: LongarmOrder, tell: (told: LongarmTold) => void): Promise<void> {
  const { head, speed } = order;
  let any = false;
  const frames = sewnRuns(order);
  for (;;) {
    const batch: Frame[] = [];
    while (batch.length < 20 * speed) {
      const { value, done } = frames.next();
      if (done) break;
      batch.push(value);
    }
    if (batch.length === 0) break;
    any = true;
    await sent(head, batch);
    tell({ frames: batch });
    await new Promise((r) => setTimeout(r, BATCH_MS));
  }
  tell(any ? { done: true } : { failed: 'There is nothing to sew in this step.' });
}

/** Readings of one run after the other; between them the needle is up. */
export function* sewnRuns({
  work,
  faults,
  seed,
}: Pick<LongarmOrder, 'work' | 'faults' | 'seed'>): Generator<Frame> {
  const random = seeded(seed);
  let [t0, n0] = [0, 0];
  for (const run of runsOf(work.points)) {
    const path = asHandsMove(run, work.handInPerS, random);
    const { machine, mode, spi, idleSpm } = work;
    const request = { machine, mode, spi, idleSpm, manualSpm: work.handInPerS * spi * 60, path };
    const left = faults.filter((f) => f.atStitch >= n0).map((f) => ({ ...f, atStitch: f.atStitch - n0 }));
    let last: Frame | null = null;
    for (const f of framesOf(request, left)) {
      last = { ...f, t: t0 + f.t, n: n0 + f.n };
      yield last;
    }
    if (!last) continue;
    yield { ...last, t: last.t + 1, v: 0, rate: 0, event: 'stopped' };
    [t0, n0] = [last.t + MOVES_MS, last.n];
  }
}

/** Sends a batch until it was taken: it counts once however often it comes. */
async function sent(head: LinkHead, batch: readonly Frame[]): Promise<void> {
  const body = [head, ...batch].map((l) => JSON.stringify(l)).join('\n');
  for (let tries = 0; ; tries++) {
    const answer = await fetch('/link', { method: 'POST', body }).catch(() => null);
    if (answer?.ok || answer?.status === 400) return;
    await new Promise((r) => setTimeout(r, PAUSES[Math.min(tries, PAUSES.length - 1)]));
  }
}
