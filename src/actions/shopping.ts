import 'reflect-metadata';
import { format } from 'date-fns';
import Papa from 'papaparse';
import { planBacking } from '@/core/backing/backing';
import { dateOfDay, dayNumber } from '@/core/calendar/days';
import { attempt } from '@/core/notes';
import { needleLife } from '@/core/needle/life';
import { type Claim, type ShoppingLine, shoppingList } from '@/core/shelf/shopping';
import { needleName } from '@/core/tables/needles';
import { POINT_LABEL } from '@/core/tables/needles';
import { lengthText } from '@/core/units/length-text';
import { readBobbins } from '@/data/bobbins';
import { readNeedles } from '@/data/needles';
import { readPrepared } from '@/data/prepared';
import { markShopping, readShoppingMarks, type ShoppingMark } from '@/data/shopping';
import type { Sql } from '@/data/sql';
import type { Preferences } from '@/data/types';
import { laid } from './calendar';
import type { Context } from './context';
import { usualOf } from './prepared';
import { needleKey } from './quilt-work';
import { done, type Result } from './result';
import { FormKey, Maybe, OneOf, Words } from './rules';
import { save } from './save';
import { readWaiting, type Waiting, type WaitingRoom } from './waiting';
import { coneName } from './zone-brief';

export interface ListedLine extends Omit<ShoppingLine, 'neededDay' | 'orderDay'> {
  neededOn: string | null;
  orderOn: string | null;
  /** The day is past or today. */
  late: boolean;
  /** Overdue, or within two days. */
  urgent: boolean;
  state: ShoppingMark['state'] | 'get';
}

const URGENT_DAYS = 2;
const BULK = ['bulky-seams', 'beads', 'plastic-print'];

/** What is to be bought or cut of a quilt's layers before it goes on the frame. */
async function layersOf(sql: Sql, { quilt }: Waiting, preferences: Preferences): Promise<Claim['layers']> {
  if (quilt.onFrameSince || quilt.sewn.length > 0) return [];
  const p = (await readPrepared(sql, quilt.id)) ?? usualOf(quilt, preferences);
  const length = (inches: number) => lengthText(inches, preferences.units);
  const plan = attempt(() =>
    planBacking({
      quilt,
      marginIn: p.marginIn,
      testMarginIn: p.testMarginIn,
      cloth: {
        widthIn: p.clothIn,
        selvageIn: 0.5,
        shrinkagePct: p.prewash ? Math.min(30, p.shrinkPct) : 0,
        stretch: p.stretch,
        nap: p.nap,
      },
    }),
  );
  const way =
    typeof plan === 'string' ? null : (plan.ways.find((w) => w.layout === p.layout) ?? plan.ways[0]!);
  const amount = way
    ? `${length(way.buyIn)} of ${length(p.clothIn)} wide (${(Math.ceil(way.buyYd * 8) / 8).toFixed(3).replace(/\.?0+$/u, '')} yd)`
    : 'see Backing and binding';
  return [
    {
      kind: 'backing',
      act: quilt.backingClothIn === null ? 'buy' : 'cut',
      what: quilt.backing,
      amount,
      prewashed: p.prewash,
    },
    {
      kind: 'batting',
      act: 'cut',
      what: quilt.batting,
      amount: `${length(quilt.widthIn + 2 * p.marginIn)} by ${length(quilt.lengthIn + 2 * p.marginIn)}`,
      prewashed: false,
    },
  ];
}

/** What every quilt that waits asks for yet, in the order it goes on the frame. */
async function claimsOf(sql: Sql, room: WaitingRoom, today: number): Promise<Claim[]> {
  const byId = new Map(room.waiting.map((w) => [w.quilt.id, w]));
  const inOrder = laid(room, today).sort((a, b) => a.startDay - b.startDay);
  const left = (of: ReadonlyMap<string, number>, share: number) =>
    new Map([...of].map(([id, m]) => [id, m * (1 - share)]));
  return Promise.all(
    inOrder.map(async (s): Promise<Claim> => {
      const w = byId.get(s.id)!;
      return {
        quilt: w.quilt.name,
        day: s.startDay,
        metres: left(w.work.totalM, w.share),
        bobbinM: left(w.work.bobbinM, w.share),
        stitches: left(w.work.stitches, w.share),
        bulk: w.zones.some((z) => z.features.some((f) => BULK.includes(f))),
        layers: await layersOf(sql, w, room.preferences),
      };
    }),
  );
}

/** What is to be bought, wound or cut for everything that waits; null when there is no studio. */
export async function readShopping(
  sql: Sql,
  now: Date,
  known?: WaitingRoom | null,
): Promise<ListedLine[] | null> {
  const room = known ?? (await readWaiting(sql));
  if (!room) return null;
  const { preferences } = room;
  const today = dayNumber(format(now, 'yyyy-MM-dd'));
  const [tray, drawer, marks] = await Promise.all([
    readBobbins(sql),
    readNeedles(sql),
    readShoppingMarks(sql),
  ]);
  const claims = await claimsOf(sql, room, today);
  const lines = shoppingList({
    claims,
    cones: room.shelf.all.map((c) => ({
      id: c.id,
      name: coneName(c),
      remainingM: c.remainingM,
      source: c.remainingSource,
      fullM: c.fullM,
    })),
    tray: tray.map((b) => ({ coneId: b.coneId, count: b.count, capacityM: b.metresEach })),
    capacity: new Map(room.waiting.flatMap((w) => [...w.work.capacityM])),
    drawer: drawer.map((n) => ({
      key: needleKey(n.nm, n.point, n.eye),
      name: `${needleName(n.nm, n.eye)}, ${POINT_LABEL[n.point]}`,
      stock: n.stock,
      life: needleLife([], n.coated),
    })),
    lowM: preferences.lowM,
    today,
  });
  const stateOf = new Map(marks.map((m) => [m.line, m.state]));
  return lines.map(({ neededDay, orderDay, ...l }) => ({
    ...l,
    neededOn: neededDay === null ? null : dateOfDay(neededDay),
    orderOn: orderDay === null ? null : dateOfDay(orderDay),
    late: (orderDay ?? neededDay ?? Infinity) <= today,
    urgent: (orderDay ?? neededDay ?? Infinity) - today <= URGENT_DAYS,
    state: stateOf.get(l.key) ?? 'get',
  }));
}

export class MarkShopping {
  @FormKey() key!: string;
  @Words(200, 'Say which line.') line!: string;
  @Maybe() @OneOf(['ordered', 'here'], 'Ordered, or here.') state?: 'ordered' | 'here' | null;
}

/** Says that a thing is ordered or here, or still to get. */
export const markLine = (context: Context, input: unknown): Promise<Result<{ line: string }>> =>
  save<MarkShopping, { line: string }>(context, 'mark-shopping', MarkShopping, input, async (tx, form) => {
    await markShopping(tx, form.line, form.state ?? null);
    return done({ line: form.line });
  });

export const ACT_LABEL = { buy: 'Buy', wind: 'Wind', cut: 'Cut' } as const;
export const STATE_LABEL = { get: 'to get', ordered: 'ordered', here: 'here' } as const;

export const shoppingCsv = (lines: readonly ListedLine[]): string =>
  Papa.unparse(
    lines.map((l) => ({
      Do: ACT_LABEL[l.act],
      What: l.what,
      'How much': l.amount,
      'Needed on': l.neededOn ?? '',
      'Order by': l.orderOn ?? '',
      Why: l.why,
      State: STATE_LABEL[l.state],
    })),
    { escapeFormulae: true, newline: '\r\n' },
  );
