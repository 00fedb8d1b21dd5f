import { normalCdf } from '../statistics/normal';

/** Days before the frame a thing is needed. */
export const NEEDED_DAYS = { needle: 1, wind: 1, thread: 2, batting: 3, backing: 3, prewashed: 5 } as const;
/** A supplier's usual days (2 to 14; judgement). */
export const SUPPLIER_DAYS = 5;
/** A thing is listed when it is enough with less than this chance. */
export const ENOUGH = 0.9;
/** Spread of what a quilt takes, and of a stock by how it is known, as shares (judgement). */
const QUILT_SD = 0.1;
const STOCK_SD = { weighed: 0.02, logged: 0.08, set: 0.15 } as const;
/** Bobbins are wound for the quilts of so many days. */
const WIND_DAYS = 14;

/** What one quilt still takes, in the order quilts go on the frame. Days are whole numbers. */
export interface Claim {
  quilt: string;
  /** Day it goes on the frame. */
  day: number;
  /** Metres by cone. */
  metres: ReadonlyMap<string, number>;
  /** Metres of bobbin thread by cone. */
  bobbinM: ReadonlyMap<string, number>;
  /** Stitches by needle. */
  stitches: ReadonlyMap<string, number>;
  /** Bulky seams, beads or plastic: needles break there. */
  bulk: boolean;
  /** What is to be bought or cut for its layers. */
  layers: readonly {
    kind: 'backing' | 'batting' | 'binding';
    act: 'buy' | 'cut';
    what: string;
    amount: string;
    prewashed: boolean;
  }[];
}

export interface ShelfCone {
  id: string;
  name: string;
  remainingM: number | null;
  source: keyof typeof STOCK_SD | null;
  /** Metres of a full one; null where it is not known. */
  fullM: number | null;
}
export interface TrayBobbins {
  coneId: string;
  count: number;
  capacityM: number;
}
export interface DrawerNeedles {
  key: string;
  name: string;
  stock: number;
  /** Stitches one lasts. */
  life: number;
}

export interface ShoppingLine {
  /** The same for the same thing on another day. */
  key: string;
  act: 'buy' | 'wind' | 'cut';
  what: string;
  amount: string;
  /** Day it is needed, and by which it is to be ordered; null for what only runs low. */
  neededDay: number | null;
  orderDay: number | null;
  why: string;
}

/**
 * Chance that a stock is enough for claims on it: each quilt's metres vary by a tenth, the stock by how it was counted.
 * @param more metres added for certain.
 */
export function chanceEnough(
  cone: Pick<ShelfCone, 'remainingM' | 'source'>,
  metres: readonly number[],
  more = 0,
): number {
  const have = cone.remainingM ?? 0;
  const lack = metres.reduce((a, b) => a + b, 0) - have - more;
  const sd = Math.hypot(have * STOCK_SD[cone.source ?? 'set'], ...metres.map((m) => m * QUILT_SD));
  return sd === 0 ? Number(lack <= 0) : normalCdf(-lack / sd);
}

const metresText = (m: number) => `${Math.round(m)} m`;
const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

/** Threads that run out with more than one chance in ten, the quilt at which they do, and those that run low. */
function threads(claims: readonly Claim[], cones: readonly ShelfCone[], lowM: number): ShoppingLine[] {
  return cones.flatMap((cone): ShoppingLine[] => {
    // A cone nobody has counted says nothing of what is lacking.
    if (cone.remainingM === null) return [];
    const own = claims.flatMap((c) => {
      const m = c.metres.get(cone.id) ?? 0;
      return m > 0 ? [{ ...c, m }] : [];
    });
    const all = own.map((c) => c.m);
    const at = own.findIndex((_, i) => chanceEnough(cone, all.slice(0, i + 1)) < ENOUGH);
    const put = cone.fullM && cone.fullM > 0 ? cone.fullM : null;
    if (at < 0)
      return cone.remainingM < lowM
        ? [
            {
              key: `cone ${cone.id}`,
              act: 'buy',
              what: cone.name,
              amount: '1 cone',
              neededDay: null,
              orderDay: null,
              why: `${metresText(cone.remainingM)} left, below ${metresText(lowM)}`,
            },
          ]
        : [];
    const claim = own[at]!;
    const wanted = all.reduce((a, b) => a + b, 0);
    let n = 1;
    while (put && chanceEnough(cone, all, n * put) < ENOUGH && n < 50) n++;
    const day = claim.day - NEEDED_DAYS.thread;
    return [
      {
        key: `cone ${cone.id}`,
        act: 'buy',
        what: cone.name,
        amount: put
          ? `${plural(n, 'cone')} of ${metresText(put)}`
          : metresText(Math.max(0, wanted - cone.remainingM)),
        neededDay: day,
        orderDay: day - SUPPLIER_DAYS,
        why: `${metresText(cone.remainingM)} left, ${metresText(wanted)} wanted by ${plural(own.length, 'quilt')}; it runs out at ${claim.quilt}. Same dye lot, or change at the edge of a zone`,
      },
    ];
  });
}

/** Bobbins to wind for the quilts that go on within two weeks, one to spare. */
function winding(
  claims: readonly Claim[],
  cones: readonly ShelfCone[],
  tray: readonly TrayBobbins[],
  capacity: ReadonlyMap<string, number>,
  today: number,
): ShoppingLine[] {
  const soon = claims.filter((c) => c.day - today <= WIND_DAYS);
  return cones.flatMap((cone): ShoppingLine[] => {
    const own = soon.filter((c) => (c.bobbinM.get(cone.id) ?? 0) > 0);
    const each = capacity.get(cone.id);
    if (own.length === 0 || !each) return [];
    const wantedM = own.reduce((sum, c) => sum + c.bobbinM.get(cone.id)!, 0);
    const wound = tray
      .filter((t) => t.coneId === cone.id)
      .reduce((n, t) => n + t.count * (t.capacityM / each), 0);
    const n = Math.ceil(wantedM / each) + 1 - Math.floor(wound);
    if (n <= 0) return [];
    return [
      {
        key: `wind ${cone.id}`,
        act: 'wind',
        what: cone.name,
        amount: plural(n, 'bobbin'),
        neededDay: own[0]!.day - NEEDED_DAYS.wind,
        orderDay: null,
        why: `${metresText(wantedM)} for ${own.map((c) => c.quilt).join(', ')}, ${metresText(each)} each, one to spare`,
      },
    ];
  });
}

/** Needles that wear out or break over what is on the calendar. */
function needles(claims: readonly Claim[], drawer: readonly DrawerNeedles[]): ShoppingLine[] {
  return drawer.flatMap((n): ShoppingLine[] => {
    let wanted = 0;
    for (const c of claims) {
      const stitches = c.stitches.get(n.key) ?? 0;
      if (stitches === 0) continue;
      wanted += stitches / n.life + (c.bulk ? 0.8 : 0.3);
      const lack = Math.ceil(wanted) - n.stock;
      if (lack <= 0) continue;
      const all = claims.reduce((sum, x) => {
        const s = x.stitches.get(n.key) ?? 0;
        return s === 0 ? sum : sum + s / n.life + (x.bulk ? 0.8 : 0.3);
      }, 0);
      const day = c.day - NEEDED_DAYS.needle;
      return [
        {
          key: `needle ${n.key}`,
          act: 'buy',
          what: n.name,
          amount: plural(Math.ceil(all) - n.stock, 'needle'),
          neededDay: day,
          orderDay: day - SUPPLIER_DAYS,
          why: `${n.stock} in the drawer; about ${Math.ceil(all)} wear out or break over what waits`,
        },
      ];
    }
    return [];
  });
}

const layers = (claims: readonly Claim[]): ShoppingLine[] =>
  claims.flatMap((c) =>
    c.layers.map((l): ShoppingLine => {
      const before =
        l.kind === 'batting'
          ? NEEDED_DAYS.batting
          : l.prewashed
            ? NEEDED_DAYS.prewashed
            : NEEDED_DAYS.backing;
      const day = c.day - before;
      return {
        key: `${l.act} ${l.kind} ${c.quilt}`,
        act: l.act,
        what: l.what,
        amount: l.amount,
        neededDay: day,
        orderDay: l.act === 'buy' ? day - SUPPLIER_DAYS : null,
        why: `${l.kind} of ${c.quilt}${l.prewashed ? ', washed before' : ''}`,
      };
    }),
  );

export interface ShoppingRequest {
  /** In the order they go on the frame. */
  claims: readonly Claim[];
  cones: readonly ShelfCone[];
  tray: readonly TrayBobbins[];
  /** Metres a bobbin of each thread holds. */
  capacity: ReadonlyMap<string, number>;
  drawer: readonly DrawerNeedles[];
  lowM: number;
  today: number;
}

/**
 * What is to be bought, wound or cut for everything that waits, by the day it is needed; what only runs low comes last.
 * Claims in the order of the calendar; days are whole numbers.
 */
export function shoppingList(r: ShoppingRequest): ShoppingLine[] {
  const lines = [
    ...threads(r.claims, r.cones, r.lowM),
    ...winding(r.claims, r.cones, r.tray, r.capacity, r.today),
    ...needles(r.claims, r.drawer),
    ...layers(r.claims),
  ];
  const at = (l: ShoppingLine) => l.orderDay ?? l.neededDay ?? Infinity;
  return lines.sort((a, b) => at(a) - at(b) || a.what.localeCompare(b.what));
}
