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

type Asked = Pick<MatchRequest, 'threads' | 'preferences' | 'hold' | 'backingHex' | 'wound'>;

/** The bobbins this shelf and machine offer, ranked once for a top thread and asked again for each: a book because a zone's candidates share their answers. */
export const bobbinBook = (request: Asked): BobbinBook => new Book(request);

const fibreOf = (t: MatchThread) => fibres.get(t.fibre, 'threads.fibre');

/** Adds to the list of a key, which is begun when it is the first. */
function addTo<T>(lists: Map<string, T[]>, key: string, one: T) {
  const own = lists.get(key);
  if (own) own.push(one);
  else lists.set(key, [one]);
}

class Book implements BobbinBook {
  readonly count: number;
  private readonly threads: readonly MatchThread[];
  private readonly preferences: NonNullable<Asked['preferences']>;
  private readonly toBacking: ((hex: string) => number) | undefined;
  private readonly wound: ReadonlyMap<string, number> | undefined;
  private readonly lots: readonly Lot[];
  /** What the lots cost under the tops of one line whatever their colours, cheapest first. */
  private readonly underLine = new Map<string, { lot: Lot; own: number }[]>();
  // The zones of a quilt ask for the same pairs again and again.
  private readonly known = remembering((_: string) => new Map<string, number>());
  private readonly ownKind = new Map<MatchThread, string>();

  constructor({ threads, preferences = {}, hold = {}, backingHex, wound }: Asked) {
    this.threads = threads;
    this.preferences = preferences;
    this.toBacking = backingHex ? remembering((hex) => deltaEHex(hex, backingHex)) : undefined;
    this.wound = wound && new Map(wound.map((w) => [w.id, w.bobbins]));
    const offered = threads.filter((t) => serves(t, 'bobbin') && (!hold.bobbinId || t.id === hold.bobbinId));
    this.count = offered.length;
    const kinds = new Map<string, MatchThread[]>();
    for (const t of offered) addTo(kinds, this.kindOf(t), t);
    this.lots = this.lotsOf([...kinds.values()]);
  }

  private isWound(t: MatchThread) {
    return (this.wound?.get(t.id) ?? 0) > 0;
  }

  /** Cones of one line and colour cost alike, unless it matters that it is the very same thread. */
  private kindOf(t: MatchThread) {
    return this.preferences.bobbin === 'same' || !t.hex
      ? t.id
      : `${t.tex} ${t.fibre} ${t.hex} ${this.isWound(t)}`;
  }

  /** Threads of one line, which cost alike but for their colour. */
  private lotsOf(kinds: readonly MatchThread[][]): Lot[] {
    const shades = new Map<string, Shade[]>();
    for (const list of kinds) {
      const one = this.shadeOf(list.sort((a, b) => (a.id < b.id ? -1 : 1)));
      const { id, tex, fibre } = one.bobbin;
      addTo(
        shades,
        this.preferences.bobbin === 'same' ? id : `${tex} ${fibre} ${this.isWound(one.bobbin)}`,
        one,
      );
    }
    return [...shades.values()].map((own) => {
      const byLightness = own.filter((s): s is Coloured => s.lab !== null).sort((a, b) => a.lab.l - b.lab.l);
      return {
        of: own[0]!,
        shades: own,
        byLightness,
        byBack: [...byLightness].sort((a, b) => a.onBack - b.onBack),
      };
    });
  }

  private shadeOf(equals: readonly MatchThread[]): Shade {
    const bobbin = equals[0]!;
    const bobbinFibre = fibreOf(bobbin);
    const { preferences, toBacking, wound } = this;
    return {
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
  }

  private context(top: MatchThread, bobbin: MatchThread, bobbinFibre: Fibre): BobbinContext {
    const { preferences, toBacking, wound } = this;
    return { top, preferences, bobbin, bobbinFibre, toBacking, wound };
  }

  private lotsUnder(top: MatchThread) {
    const line = this.preferences.bobbin === 'same' ? top.id : `${top.tex} ${top.fibre}`;
    let under = this.underLine.get(line);
    if (!under) {
      under = this.lots
        .map((lot) => ({
          lot,
          own: costOf(WHATEVER_COLOUR, this.context(top, lot.of.bobbin, lot.of.bobbinFibre)) - ROUNDING,
        }))
        .sort((a, b) => a.own - b.own);
      this.underLine.set(line, under);
    }
    return under;
  }

  bobbinsFor(top: MatchThread, visit: (bobbin: RankedBobbin) => void, most: () => number) {
    const lab = top.hex ? labOf(top.hex) : null;
    for (const { lot, own } of this.lotsUnder(top)) {
      if (own > most()) return;
      const left = () => most() - own;
      if (lab) {
        const colourOf = this.colourCost(lot, lab, top);
        const few = lot.byBack[FEW];
        if (few && left() < few.onBack) byTheBack(lot, own, colourOf, left, visit);
        else byTheTop(lot, own, lab, colourOf, left, visit);
      }
      for (const s of lot.shades)
        if ((!lab || !s.lab) && s.onBack <= left()) visit(ranked(s, own + s.onBack));
    }
  }

  /** What a shade's colour costs at least under a top of that colour. */
  private colourCost({ byLightness }: Lot, lab: Lab, top: MatchThread) {
    const of = this.context(top, byLightness[0]?.bobbin ?? top, fibreOf(top));
    return (s: Coloured) => {
      const apart = leastDeltaE(lab, s.lab);
      let cost = 0;
      for (const c of BY_COLOUR) cost += c.weight * (c.leastApart?.(of, apart) ?? 0);
      return cost;
    };
  }

  bobbinOf(id: string): RankedBobbin | undefined {
    const bobbin = this.threads.find((t) => t.id === id && serves(t, 'bobbin'));
    return bobbin && { equals: [bobbin], bobbin, bobbinFibre: fibreOf(bobbin), floor: 0 };
  }

  costUnder(top: MatchThread, { bobbin, bobbinFibre }: RankedBobbin) {
    let kind = this.ownKind.get(top);
    if (kind === undefined) this.ownKind.set(top, (kind = this.kindOf(top)));
    const costs = this.known(kind);
    let cost = costs.get(bobbin.id);
    if (cost === undefined) {
      cost = costOf(BOBBIN_CRITERIA, this.context(top, bobbin, bobbinFibre));
      costs.set(bobbin.id, cost);
    }
    return cost;
  }

  weighed(top: MatchThread, bobbin: MatchThread) {
    return weigh(BOBBIN_CRITERIA, this.context(top, bobbin, fibreOf(bobbin)));
  }

  says(top: MatchThread, bobbin: MatchThread) {
    return sayOf(BOBBIN_CRITERIA, this.context(top, bobbin, fibreOf(bobbin)));
  }
}

type Visit = (bobbin: RankedBobbin) => void;

/** A lot's bobbins that can cost less than what is left, by what they cost on the back. */
function byTheBack(
  { byBack }: Lot,
  own: number,
  colourOf: (s: Coloured) => number,
  left: () => number,
  visit: Visit,
) {
  for (const s of byBack) {
    if (s.onBack > left()) return;
    const least = colourOf(s) + s.onBack;
    if (least <= left()) visit(ranked(s, own + least));
  }
}

/** The same outwards from the top's own lightness: what is further off in lightness costs at least as much. */
function byTheTop(
  { byLightness }: Lot,
  own: number,
  lab: Lab,
  colourOf: (s: Coloured) => number,
  left: () => number,
  visit: Visit,
) {
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

/** A function that works out each answer once. */
function remembering<T>(of: (key: string) => T): (key: string) => T {
  const known = new Map<string, T>();
  return (key) => {
    let value = known.get(key);
    if (value === undefined) known.set(key, (value = of(key)));
    return value;
  };
}
