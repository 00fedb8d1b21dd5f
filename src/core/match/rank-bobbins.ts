import { deltaEHex, type Lab, labOf, leastDeltaE } from '../colour/delta-e';
import { type Fibre, fibres } from '../tables/fibres';
import { BOBBIN_CRITERIA } from './criteria';
import type { BobbinContext } from './criteria/criterion';
import { type MatchRequest, type MatchThread, serves } from './request';
import { costOf, sayOf, type Weighed, weigh } from './weigh';

/** Bobbin threads that cost the same under any top, and what they cost at least by the lightness of their colour. */
export interface RankedBobbin {
  /** Equal but for what is left of each; by id. */
  equals: readonly MatchThread[];
  /** The first of them, which stands for all. */
  bobbin: MatchThread;
  bobbinFibre: Fibre;
  /** What it costs at least. */
  floor: number;
}

/** The bobbins of a shelf under each top thread: the same for every zone, so a whole quilt weighs them once. */
export interface BobbinBook {
  count: number;
  /** Shows each bobbin that can cost `most` or less under a top; what is left may shrink on the way. */
  bobbinsFor(top: MatchThread, visit: (bobbin: RankedBobbin) => void, most: () => number): void;
  /** One bobbin alone, by its thread's id. */
  bobbinOf(id: string): RankedBobbin | undefined;
  /** What a bobbin costs under a top by size, kind and colour. */
  costUnder(top: MatchThread, ranked: RankedBobbin): number;
  /** The same judgement criterion by criterion. */
  weighed(top: MatchThread, bobbin: MatchThread): Weighed;
  /** Its sentences, for the few that are looked at closely. */
  says(top: MatchThread, bobbin: MatchThread): ReturnType<typeof sayOf>;
}

/** A bobbin thread of one colour, and what its colour alone costs at least. */
interface Shade extends Omit<RankedBobbin, 'floor'> {
  lab: Lab | null;
  onBack: number;
}
type Coloured = Shade & { lab: Lab };
/** Bobbin threads that differ in colour only. */
interface Lot {
  of: Shade;
  shades: Shade[];
  byLightness: Coloured[];
  byBack: Coloured[];
}

/** So many are tried by what they cost on the back rather than in the order of their lightness. */
const FEW = 600;
const BY_COLOUR = BOBBIN_CRITERIA.filter((c) => c.byColour);
const WHATEVER_COLOUR = BOBBIN_CRITERIA.filter((c) => !c.byColour);

const ranked = ({ equals, bobbin, bobbinFibre }: Shade, floor: number): RankedBobbin => ({
  equals,
  bobbin,
  bobbinFibre,
  floor,
});

/** Index of the first that is at least so light, by bisection. */
function firstFrom(shades: readonly Coloured[], l: number): number {
  let [from, to] = [0, shades.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if (shades[middle]!.lab.l < l) from = middle + 1;
    else to = middle;
  }
  return from;
}

/** Sums in another order differ by less. */
const ROUNDING = 1e-9;

/** The bobbins this shelf and machine offer, ranked once for a top thread and asked again for each: a book because a zone's candidates share their answers. */
export function bobbinBook({
  threads,
  preferences = {},
  hold = {},
  backingHex,
  wound: ready,
}: Pick<MatchRequest, 'threads' | 'preferences' | 'hold' | 'backingHex' | 'wound'>): BobbinBook {
  const toBacking = backingHex ? remembering((hex) => deltaEHex(hex, backingHex)) : undefined;
  const wound = ready && new Map(ready.map((w) => [w.id, w.bobbins]));
  const isWound = (t: MatchThread) => (wound?.get(t.id) ?? 0) > 0;
  // Cones of one line and colour cost alike, unless it matters that it is the very same thread.
  const kindOf = (t: MatchThread) =>
    preferences.bobbin === 'same' || !t.hex ? t.id : `${t.tex} ${t.fibre} ${t.hex} ${isWound(t)}`;
  const kinds = new Map<string, MatchThread[]>();
  let count = 0;
  for (const t of threads) {
    if (!serves(t, 'bobbin') || (hold.bobbinId && t.id !== hold.bobbinId)) continue;
    count++;
    const kind = kindOf(t);
    const own = kinds.get(kind);
    if (own) own.push(t);
    else kinds.set(kind, [t]);
  }
  const lots = new Map<string, Lot>();
  for (const list of kinds.values()) {
    const equals = list.sort((a, b) => (a.id < b.id ? -1 : 1));
    const bobbin = equals[0]!;
    const bobbinFibre = fibres.get(bobbin.fibre, 'threads.fibre');
    const one: Shade = {
      equals,
      bobbin,
      bobbinFibre,
      lab: bobbin.hex ? labOf(bobbin.hex) : null,
      onBack: BY_COLOUR.reduce(
        (sum, c) =>
          sum + c.weight * (c.leastUnderAny?.({ bobbin, bobbinFibre, preferences, toBacking, wound }) ?? 0),
        0,
      ),
    };
    // Threads of one line cost alike but for their colour.
    const key =
      preferences.bobbin === 'same' ? bobbin.id : `${bobbin.tex} ${bobbin.fibre} ${isWound(bobbin)}`;
    const lot = lots.get(key);
    if (lot) lot.shades.push(one);
    else lots.set(key, { of: one, shades: [one], byLightness: [], byBack: [] });
  }
  for (const lot of lots.values()) {
    lot.byLightness = lot.shades
      .filter((s): s is Coloured => s.lab !== null)
      .sort((a, b) => a.lab.l - b.lab.l);
    lot.byBack = [...lot.byLightness].sort((a, b) => a.onBack - b.onBack);
  }

  /** What the lots cost under the tops of one line whatever their colours, cheapest first. */
  const underLine = new Map<string, { lot: Lot; own: number }[]>();
  const lotsUnder = (top: MatchThread) => {
    const line = preferences.bobbin === 'same' ? top.id : `${top.tex} ${top.fibre}`;
    let under = underLine.get(line);
    if (!under) {
      under = [...lots.values()]
        .map((lot) => ({
          lot,
          own: costOf(WHATEVER_COLOUR, context(top, lot.of.bobbin, lot.of.bobbinFibre)) - ROUNDING,
        }))
        .sort((a, b) => a.own - b.own);
      underLine.set(line, under);
    }
    return under;
  };

  function bobbinsFor(top: MatchThread, visit: (bobbin: RankedBobbin) => void, most: () => number) {
    const lab = top.hex ? labOf(top.hex) : null;
    for (const { lot, own } of lotsUnder(top)) {
      if (own > most()) return;
      const left = () => most() - own;
      if (lab) byColour(lot, own, lab, left, visit, top);
      for (const s of lot.shades)
        if ((!lab || !s.lab) && s.onBack <= left()) visit(ranked(s, own + s.onBack));
    }
  }

  /** A lot's bobbins that can cost less than what is left: of those whose colour suits the back, or the top. */
  function byColour(
    { byLightness, byBack }: Lot,
    own: number,
    lab: Lab,
    left: () => number,
    visit: (bobbin: RankedBobbin) => void,
    top: MatchThread,
  ) {
    const of = context(top, byLightness[0]?.bobbin ?? top, fibreOf(top));
    const colourOf = (s: Coloured) => {
      const apart = leastDeltaE(lab, s.lab);
      let cost = 0;
      for (const c of BY_COLOUR) cost += c.weight * (c.leastApart?.(of, apart) ?? 0);
      return cost;
    };
    const few = byBack[FEW];
    if (few && left() < few.onBack) {
      for (const s of byBack) {
        if (s.onBack > left()) return;
        const least = colourOf(s) + s.onBack;
        if (least <= left()) visit(ranked(s, own + least));
      }
      return;
    }
    // Outwards from the top's own lightness: what is further off in lightness costs at least as much.
    let up = firstFrom(byLightness, lab.l);
    let down = up - 1;
    const colourAt = (i: number) => (byLightness[i] ? colourOf(byLightness[i]) : Infinity);
    let [below, above] = [colourAt(down), colourAt(up)];
    for (;;) {
      const colour = Math.min(below, above);
      if (colour > left()) return;
      const fromBelow = below < above;
      const s = byLightness[fromBelow ? down : up];
      if (!s) return;
      if (fromBelow) below = colourAt(--down);
      else above = colourAt(++up);
      if (colour + s.onBack <= left()) visit(ranked(s, own + colour + s.onBack));
    }
  }

  const context = (top: MatchThread, bobbin: MatchThread, bobbinFibre: Fibre): BobbinContext => ({
    top,
    preferences,
    bobbin,
    bobbinFibre,
    toBacking,
    wound,
  });
  const fibreOf = (t: MatchThread) => fibres.get(t.fibre, 'threads.fibre');
  // The zones of a quilt ask for the same pairs again and again.
  const known = remembering((_: string) => new Map<string, number>());
  const ownKind = new Map<MatchThread, string>();
  return {
    count,
    bobbinsFor,
    bobbinOf(id) {
      const bobbin = threads.find((t) => t.id === id && serves(t, 'bobbin'));
      return bobbin && { equals: [bobbin], bobbin, bobbinFibre: fibreOf(bobbin), floor: 0 };
    },
    costUnder(top, { bobbin, bobbinFibre }) {
      let kind = ownKind.get(top);
      if (kind === undefined) ownKind.set(top, (kind = kindOf(top)));
      const costs = known(kind);
      let cost = costs.get(bobbin.id);
      if (cost === undefined) {
        cost = costOf(BOBBIN_CRITERIA, context(top, bobbin, bobbinFibre));
        costs.set(bobbin.id, cost);
      }
      return cost;
    },
    weighed: (top, bobbin) => weigh(BOBBIN_CRITERIA, context(top, bobbin, fibreOf(bobbin))),
    says: (top, bobbin) => sayOf(BOBBIN_CRITERIA, context(top, bobbin, fibreOf(bobbin))),
  };
}

/** A function that works out each answer once. */
function remembering<T>(of: (key: string) => T): (key: string) => T {
  const known = new Map<string, T>();
  return (key) => {
    let value = known.get(key);
    if (value === undefined) known.set(key, (value = of(key)));
    return value;
  };
}
