import { symptoms } from '../tables/symptoms';
import type { FaultBook } from './diagnose';
import { causes } from './knowledge';
import { readSetup, setupShare } from './setup-share';

/** The figures count as so many faults of the studio's own (judgement). */
const WORTH_FAULTS = 40;

/**
 * Signs of a stitch fault, the likeliest on this set-up first: how often each cause is here, times how often the sign is
 * seen of it, moved by how often the studio has noted it. Chances are of a fault that is noted; every sign is there once.
 * @param setup what is known of the set-up, as the knowledge names it. @param noted how often each sign was noted lately.
 * @throws CoreError `bad-fact`. @example likelySigns({ needleAgeStitches: 90_000 }, faultBook())[0].id
 */
export function likelySigns(
  setup: Readonly<Record<string, unknown>>,
  book: FaultBook,
  noted: ReadonlyMap<string, number> = new Map(),
): { id: string; p: number }[] {
  const known = readSetup(setup);
  const weights = causes.rows.map((c) => book.prior.get(c.id)! * setupShare(c, known));
  const raw = symptoms.ids.map((s) =>
    causes.rows.reduce((sum, c, i) => sum + weights[i]! * book.symptom(c.id, s), 0),
  );
  const sum = raw.reduce((a, b) => a + b, 0);
  const all = symptoms.ids.reduce((total, s) => total + (noted.get(s) ?? 0), 0);
  return symptoms.ids
    .map((id, i) => ({
      id,
      p: (WORTH_FAULTS * (raw[i]! / sum) + (noted.get(id) ?? 0)) / (WORTH_FAULTS + all),
    }))
    .sort((a, b) => b.p - a.p);
}
