import { MOTIFS } from '../motifs/motif-table';
import { refusalOf } from '../motifs/gates';
import { weigh, weighZone, type Weighed } from '../motifs/rank';
import type { MotifsRequest } from '../motifs/request';
import { quiltFacts, zoneFacts } from '../motifs/zone-facts';
import { CoreError } from '../notes';
import { techniques } from '../tables/techniques';

/** A zone of the quilt as it stands: what is quilted in it, and the minutes the plan has for it. */
export interface FitZone {
  id: string;
  technique: string;
  spacingIn: number;
  minutes: number;
  /** Sewn already, or begun: it stays as it is. */
  fixed?: boolean;
}

export type FitKind = 'scale' | 'simpler' | 'ditch' | 'open' | 'richer';

/** One change: what is quilted in a zone instead, the minutes it saves (below 0: costs), and its harm in the unit of the penalties. */
export interface FitChange {
  zone: string;
  kind: FitKind;
  technique: string;
  spacingIn: number;
  gainMin: number;
  harm: number;
  /** What the zone loses by it. */
  why: string;
}

export interface FitDay {
  /** Minutes over the hours there are; below 0 there is time left. */
  overMin: number;
  /** Changes that save time, cheapest harm a minute first, each zone once in every kind. */
  changes: FitChange[];
  /** Of these, the ones that together make it fit, in the order to make them; null when nothing is enough. */
  fit: FitChange[] | null;
  /** What an hour more would buy: changes for the better that cost no more than it. */
  better: FitChange[];
}

/** A change that saves less is not worth the talk, minutes. */
const LEAST_MIN = 3;
/**
 * A change harms a little even where the penalties say it is as good: it was chosen otherwise. Another scale hardly, another
 * technique more, what is left out most (judgement).
 */
const LEAST_HARM: Readonly<Record<FitKind, number>> = {
  scale: 0.03,
  simpler: 0.2,
  ditch: 0.35,
  open: 0.45,
  richer: 0,
};
/** Time saved beyond what is needed is work left undone: so much harm a minute. */
const SPARE_HARM = 0.002;
const SCALES = [1.25, 1.5, 2];
const HOUR = 60;

const WHY: Readonly<Record<string, string>> = {
  fit: 'it fits the shape less well',
  role: 'it is less usual there',
  density: 'it is sparser than the zone wants',
  bare: 'more is left bare',
  seen: 'it is seen less',
  print: 'the print hides it',
  words: 'it tells less of the theme',
  wish: 'it was wished for',
  hand: 'it forgives the hand less',
  fabric: 'the fabric takes it less well',
  features: 'what lies there is in its way',
  past: 'this studio has other habits',
};

/** What of the penalties grows most by a change, in words. */
function whyOf(from: Weighed, to: Weighed): string {
  const grown = Object.entries(to.parts)
    .map(([k, v]) => [k, v - (from.parts[k as keyof typeof from.parts] ?? 0)] as const)
    .filter(([k, by]) => by > 0.02 && WHY[k])
    .sort((a, b) => b[1] - a[1]);
  return grown[0] ? WHY[grown[0][0]]! : 'hardly anything is lost';
}

const kindOf = (from: string, to: Weighed): FitKind =>
  to.motif.id === 'open'
    ? 'open'
    : to.motif.id === 'ditch'
      ? 'ditch'
      : to.motif.id === from
        ? 'scale'
        : 'simpler';

/**
 * What to change so that a quilt fits the hours there are: larger scales, simpler techniques, ditch only or left open, by
 * minutes saved for their harm; and the other way, what an hour more would buy. The harm is that of what suits a zone.
 * @param targetMin minutes there are. @param fixedMin minutes that no change saves: loading, rolling, taking off.
 * @throws CoreError `too-short` at `hours` when the hours are fewer than what no change saves.
 */
export function fitDay(
  request: MotifsRequest,
  zones: readonly FitZone[],
  fixedMin: number,
  targetMin: number,
): FitDay {
  const nowMin = zones.reduce((s, z) => s + z.minutes, fixedMin);
  const stays = zones.reduce((s, z) => s + (z.fixed ? z.minutes : 0), fixedMin);
  if (targetMin <= stays)
    throw new CoreError(
      'too-short',
      `Loading, rolling and what is begun take ${(stays / HOUR).toFixed(1)} hours by themselves: give more.`,
      'hours',
    );
  const facts = zoneFacts(request);
  // Harm in a large zone is seen more.
  const roots = new Map(facts.map((f) => [f.zone.id, Math.sqrt(f.areaIn2)]));
  const mean = [...roots.values()].reduce((a, b) => a + b, 0) / Math.max(1, roots.size);
  const weightOf = (id: string) => 0.4 + (0.6 * (roots.get(id) ?? mean)) / mean;
  const { saving, better } = sorted(triedIn(request, facts, zones), weightOf);
  const list = saving.sort((a, b) => a.harm / a.gainMin - b.harm / b.gainMin);
  return {
    overMin: nowMin - targetMin,
    changes: list,
    fit: fitting(list, nowMin - targetMin),
    better: better.sort((a, b) => a.harm / Math.max(1, -a.gainMin) - b.harm / Math.max(1, -b.gainMin)),
  };
}

/** A zone with what it is now and what it could be, weighed. */
interface Tried {
  zone: FitZone;
  now: Weighed;
  to: Weighed;
  minutes: number;
}

/** Everything that could be quilted in each zone that is not begun: larger scales of its own, and other techniques. */
function triedIn(
  request: MotifsRequest,
  facts: ReturnType<typeof zoneFacts>,
  zones: readonly FitZone[],
): Tried[] {
  const q = quiltFacts(request);
  return zones.flatMap((zone) => {
    const z = facts.find((f) => f.zone.id === zone.id);
    const motif = MOTIFS.find(zone.technique);
    if (!z || !motif || zone.fixed) return [];
    const now = weigh(request, q, z, motif, motif.g ? zone.spacingIn : null);
    // The plan knows this zone's hands and stops; what another technique takes is told in the same measure.
    const measure = now.work.minutes > 0 ? zone.minutes / now.work.minutes : 1;
    const scaled = motif.g
      ? SCALES.map((s) => zone.spacingIn * s).filter((g) => g <= motif.g![1] && g <= q.gapLimitIn)
      : [];
    const tried = [
      ...(refusalOf(request, q, z, motif, null)
        ? []
        : scaled.map((g) => weigh(request, q, z, motif, round(g)))),
      ...weighZone(request, q, z).all,
    ];
    return tried.map((w) => ({ zone, now, to: w, minutes: w.work.minutes * measure }));
  });
}

/** What saves time, the cheapest harm a minute of each zone and kind; and what is better for an hour at most. */
function sorted(found: readonly Tried[], weightOf: (id: string) => number) {
  const saving = new Map<string, FitChange>();
  const better = new Map<string, FitChange>();
  const rate = (c: FitChange) => c.harm / c.gainMin;
  for (const { zone, now, to, minutes } of found) {
    const gainMin = zone.minutes - minutes;
    const harm = to.score - now.score;
    if (to.motif.id === zone.technique && (to.spacingIn ?? zone.spacingIn) === zone.spacingIn) continue;
    const kind = kindOf(zone.technique, to);
    const change: FitChange = {
      zone: zone.id,
      kind,
      technique: to.motif.id,
      spacingIn: to.spacingIn ?? zone.spacingIn,
      gainMin,
      harm: (LEAST_HARM[kind] + Math.max(0, harm)) * weightOf(zone.id),
      why: whyOf(now, to),
    };
    const key = `${zone.id} ${kind}`;
    const known = saving.get(key);
    if (gainMin >= LEAST_MIN && (!known || rate(change) < rate(known))) saving.set(key, change);
    const was = better.get(zone.id);
    if (harm < -0.1 && -gainMin <= HOUR && -gainMin >= LEAST_MIN && (!was || harm < was.harm))
      better.set(zone.id, { ...change, kind: 'richer', harm, why: whyOf(to, now) });
  }
  return { saving: [...saving.values()], better: [...better.values()] };
}

const round = (g: number) => Math.round(g * 16) / 16;

/**
 * The changes, one a zone at most, that save enough with the least harm: exact to the minute, by dynamic programming over the
 * minutes still to be saved.
 */
function fitting(list: readonly FitChange[], overMin: number): FitChange[] | null {
  if (overMin <= 0) return [];
  const need = Math.ceil(overMin);
  const byZone = new Map<string, FitChange[]>();
  for (const c of list) byZone.set(c.zone, [...(byZone.get(c.zone) ?? []), c]);
  interface Best {
    harm: number;
    taken: readonly FitChange[];
  }
  // best[m]: the least harm with which at least m minutes are saved.
  let best: (Best | null)[] = [{ harm: 0, taken: [] }, ...Array<null>(need).fill(null)];
  for (const options of byZone.values()) {
    const next = [...best];
    for (const c of options)
      for (let m = 0; m <= need; m++) {
        const from = best[m];
        if (!from) continue;
        const to = Math.min(need, m + Math.floor(c.gainMin));
        const harm = from.harm + c.harm + SPARE_HARM * c.gainMin;
        if (!next[to] || harm < next[to].harm) next[to] = { harm, taken: [...from.taken, c] };
      }
    best = next;
  }
  const found = best[need];
  return found ? [...found.taken].sort((x, y) => x.harm / x.gainMin - y.harm / y.gainMin) : null;
}

/** A change as a sentence. */
export const fitWords = ({ kind, technique, spacingIn }: FitChange, from: string): string => {
  const label = techniques.get(technique).label;
  switch (kind) {
    case 'open':
      return 'leave it open';
    case 'ditch':
      return 'ditch only';
    case 'scale':
      return `${label} at ${spacingIn} in spacing`;
    default:
      return `${label}${MOTIFS.get(technique).g ? ` at ${spacingIn} in` : ''} instead of ${techniques.get(from).label}`;
  }
};
