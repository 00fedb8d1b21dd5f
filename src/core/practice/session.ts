import { DRILLS } from './drills';

/** One drill of a session, so many times. */
export interface SessionStep {
  drill: string;
  times: number;
  minutes: number;
  /** Why it is in: never drawn yet, or not for the longest. */
  why: string;
}

export const SESSION_MINUTES = [10, 20, 30] as const;
export type SessionMinutes = (typeof SESSION_MINUTES)[number];

/** A drill drawn, judged and looked at takes about so long, minutes (judgement). */
const RUN_MIN = 0.8;
/** Of a session so much is for sitting down, resting the hands and looking (judgement). */
const PAUSE_SHARE = 0.2;
/** So many times one after another: enough to change something, not enough to tire of it. */
const TIMES = 4;
const DAY_MS = 86_400_000;

/**
 * A session of 10, 20 or 30 minutes: the line first, to warm up; then the drills that were never drawn, then those not
 * drawn for the longest, each a few times running, since a small thing is repeated more often than a large one.
 * @param runs drills drawn so far, in any order. @param now milliseconds.
 */
export function sessionOf(
  minutes: SessionMinutes,
  runs: readonly { drill: string; at: Date }[],
  now: number,
): SessionStep[] {
  const each = TIMES * RUN_MIN;
  const count = Math.max(2, Math.round((minutes * (1 - PAUSE_SHARE)) / each));
  const last = new Map<string, number>();
  for (const r of runs) last.set(r.drill, Math.max(last.get(r.drill) ?? 0, r.at.getTime()));
  const warm = DRILLS.ids[0]!;
  const rest = DRILLS.ids
    .filter((id) => id !== warm)
    .sort((a, b) => (last.get(a) ?? 0) - (last.get(b) ?? 0) || DRILLS.ids.indexOf(a) - DRILLS.ids.indexOf(b));
  return [warm, ...rest].slice(0, count).map((drill, i): SessionStep => {
    const at = last.get(drill);
    const days = at === undefined ? 0 : Math.max(0, Math.floor((now - at) / DAY_MS));
    return {
      drill,
      times: TIMES,
      minutes: each,
      why:
        i === 0
          ? 'to warm up'
          : at === undefined
            ? 'not drawn yet'
            : days === 0
              ? 'drawn today'
              : `not for ${days} ${days === 1 ? 'day' : 'days'}`,
    };
  });
}
