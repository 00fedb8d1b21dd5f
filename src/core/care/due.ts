import { CARE_BY, type CareBy, type CareItem, type CareLimits, type Stop } from './items';

/** What has gone by on a machine since something was done. */
export type CareCounts = Readonly<Record<CareBy, number>>;

/** What the manual says of an item in place of the usual; sealed: nothing is ever due. */
export interface ManualSays {
  sealed: boolean;
  limits: CareLimits;
}

/** How far an item is on its way to being due. */
export interface CareDue {
  item: CareItem;
  /** 1: due. What has gone by, as a share of what may; never due: 0. */
  u: number;
  by: CareBy | 'needle' | 'day' | null;
  word: 'fine' | 'soon' | 'due' | 'none';
  limits: CareLimits;
}

export const SOON = 0.8;
/** A needle is changed at this share of its life. */
export const NEEDLE_LIFE_SHARE = 0.9;
/** Each degree of lint brings lint and oil so much nearer. */
const LINT = 0.25;
/** Fabrics and battings that shed. */
const SHEDS = ['flannel', 'plush', 'velvet', 'fleece', 'wool-felted', 'wool'];

/** How much lint there is: the thread's own, 0–3, and one more over flannel, pile or wool, or where hair was noted at intake. */
export const lintOf = (threadLint: number, sewn: readonly string[], hair = false): number =>
  threadLint + (hair || sewn.some((id) => SHEDS.includes(id)) ? 1 : 0);

/** By how much lint brings an item nearer: `1 + 0.25·lint` for lint and oil, 1 for everything else. */
export const lintFactor = ({ linty }: Pick<CareItem, 'linty'>, lint: number): number =>
  linty ? 1 + LINT * lint : 1;

/** The limits that hold: the manual's figures in place of the usual ones, one by one. */
export const limitsOf = (item: CareItem, manual: ManualSays | undefined): CareLimits | null =>
  manual?.sealed ? null : { ...item.limits, ...manual?.limits };

/**
 * How due an item is: u = the greatest of what has gone by over what may, lint and oil sooner with lint (`×(1 + 0.25·lint)`),
 * the needle by its wear, daily things by a new day.
 * @param counts since it was done last. @param needleShare of its life the needle has sewn. @param newDay it was not done today.
 */
export function dueOf(
  item: CareItem,
  counts: CareCounts,
  more: { manual?: ManualSays; lint?: number; needleShare?: number | null; newDay?: boolean } = {},
): CareDue {
  const limits = limitsOf(item, more.manual);
  if (limits === null) return { item, u: 0, by: null, word: 'none', limits: {} };
  const shares: [CareDue['by'], number][] = CARE_BY.flatMap((by) => {
    const limit = limits[by];
    return limit ? [[by, counts[by] / limit] as [CareBy, number]] : [];
  });
  if (item.id === 'needle' && more.needleShare != null)
    shares.push(['needle', more.needleShare / NEEDLE_LIFE_SHARE]);
  const [by, share] = shares.reduce(
    (a, b) => (b[1] > a[1] ? b : a),
    shares[0] ?? ([null, 0] as [CareDue['by'], number]),
  );
  const linty = share * lintFactor(item, more.lint ?? 0);
  const daily = item.daily && more.newDay === true;
  const u = daily ? Math.max(1, linty) : linty;
  return {
    item,
    u,
    by: daily && linty < 1 ? 'day' : by,
    word: u >= 1 ? 'due' : u >= SOON ? 'soon' : 'fine',
    limits,
  };
}

/** Acts longer than this wait for the empty frame, minutes. */
const SHORT_MIN = 5;
const MOST_REMINDED = 2;

/**
 * What is reminded of at a stop: what would be due before the next stop of its kind comes, the most due first, two at most;
 * what takes long only on the empty frame. @param untilNext by how much an item's u grows till the next such stop.
 */
export function remindAt(
  stop: Stop,
  dues: readonly CareDue[],
  untilNext: (due: CareDue) => number = () => 0,
): CareDue[] {
  return dues
    .filter(
      (d) =>
        d.word !== 'none' &&
        d.item.at.includes(stop) &&
        (d.item.minutes <= SHORT_MIN || stop === 'empty-frame') &&
        d.u + untilNext(d) >= 1,
    )
    .sort((a, b) => b.u - a.u || a.item.minutes - b.item.minutes)
    .slice(0, MOST_REMINDED);
}

/** A technician is asked so long before it is due, days. */
const ASK_AHEAD_DAYS = 14;

/**
 * In how many days something will be due as the machine is used: `(1 − u) · limit / daily use` of whichever comes first;
 * null where nothing counts towards it. @param perDay what goes by on a usual day. @returns days, 0 when due.
 */
export function dueInDays(
  { item, u, limits }: CareDue,
  counts: CareCounts,
  perDay: CareCounts,
): number | null {
  if (u >= 1) return 0;
  const days = CARE_BY.flatMap((by) => {
    const limit = limits[by];
    return limit && perDay[by] > 0 ? [Math.max(0, limit - counts[by]) / perDay[by]] : [];
  });
  return days.length === 0 || item.id === 'needle' ? null : Math.min(...days);
}

/** Whether it is time to ask a technician for a day. */
export const askNow = (due: CareDue, inDays: number | null): boolean =>
  due.item.technician && inDays !== null && inDays <= ASK_AHEAD_DAYS;

const round = (n: number) => (n >= 10 ? String(Math.round(n)) : String(Number(n.toFixed(1))));
const WORDS: Readonly<Record<CareBy, (n: number, of: number) => string>> = {
  hours: (n, of) => `${round(n)} of ${round(of)} hours sewn`,
  bobbins: (n, of) => `${round(n)} of ${round(of)} bobbins`,
  days: (n, of) => `${Math.floor(n)} of ${round(of)} days`,
  stitches: (n, of) => `${round(n / 1000)} of ${round(of / 1000)} thousand stitches`,
};

/** How far it is, in words: what has gone by of what may, by whichever comes first. */
export function dueWords({ by, limits, u, word }: CareDue, counts: CareCounts): string {
  if (word === 'none') return 'none: sealed, by the manual';
  if (by === 'day') return 'once a day';
  if (by === 'needle') return `${Math.round(100 * u * NEEDLE_LIFE_SHARE)} % of its life sewn`;
  if (by === null) return 'by the manual';
  return WORDS[by](counts[by], limits[by]!);
}

/** A reading of the machine's own counter. */
export interface Reading {
  at: Date;
  stitches: number;
}

/**
 * Stitches since a moment, by the machine's own counter where it was read: between readings by their straight line, after
 * the last by what was logged since. Null where no reading lies at or before that moment.
 * @param loggedSince stitches in the log since a moment.
 */
export function stitchesByCounter(
  readings: readonly Reading[],
  since: Date,
  loggedSince: (from: Date) => number,
): number | null {
  const sorted = [...readings].sort((a, b) => a.at.getTime() - b.at.getTime());
  const last = sorted.at(-1);
  const i = sorted.findLastIndex((r) => r.at <= since);
  if (!last || i < 0) return null;
  const [a, b] = [sorted[i]!, sorted[i + 1]];
  if (!b) return loggedSince(since);
  const t = (since.getTime() - a.at.getTime()) / (b.at.getTime() - a.at.getTime());
  return last.stitches - (a.stitches + (b.stitches - a.stitches) * t) + loggedSince(last.at);
}
