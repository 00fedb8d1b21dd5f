import { mishap } from '@/actions/mishaps';
import { prunePhotographs } from '@/data/intakes';
import { pruneReceipts } from '@/data/receipts';
import { db } from '@/data/sql';
import { copyPlan, keepCopies } from './copies';
import { sweepScratch } from './scratch';

const FIRST_AFTER_MS = 20_000;
const EVERY_MS = 3_600_000;

/** Looks every hour whether today's copy is made and old receipts may go; what goes wrong is in the studio's own log. */
export function startKeeping(): void {
  const plan = copyPlan();
  const url = process.env.DATABASE_URL;
  if (!url) return;
  const look = () =>
    Promise.all([pruneReceipts(db()), prunePhotographs(db())])
      .then(() => plan && keepCopies(db(), url, plan, new Date()))
      .catch((error: unknown) => mishap('keeping', error));
  void sweepScratch().catch((error: unknown) => mishap('keeping', error));
  setTimeout(look, FIRST_AFTER_MS).unref();
  setInterval(look, EVERY_MS).unref();
}
