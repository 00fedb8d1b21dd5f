import type { StepWork, LinkHead } from '@/actions/link';
import { asHandsMove, type Frame, framesOf, type LinkEvent } from '@/core/stand-in/longarm';
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
const PAUSES = [500, 1000, 2000, 4000, 8000] as const;

/** The stand-in longarm: sews what it was told, and sends its readings over the link as a real one would, until it is done. */
export async function runLongarm(order: LongarmOrder, tell: (told: LongarmTold) => void): Promise<void> {
  const { work, head, speed, faults, seed } = order;
  const path = asHandsMove(work.points, work.handInPerS, seeded(seed));
  if (path.length < 2) return tell({ failed: 'There is nothing to sew in this step.' });
  const frames = framesOf(
    {
      machine: work.machine,
      mode: work.mode,
      spi: work.spi,
      idleSpm: work.idleSpm,
      manualSpm: work.handInPerS * work.spi * 60,
      path,
    },
    faults,
  );
  for (;;) {
    const batch: Frame[] = [];
    while (batch.length < 20 * speed) {
      const { value, done } = frames.next();
      if (done) break;
      batch.push(value);
    }
    if (batch.length === 0) break;
    await sent(head, batch);
    tell({ frames: batch });
    await new Promise((r) => setTimeout(r, BATCH_MS));
  }
  tell({ done: true });
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
