import type { RatesFields, SuppliedFields } from '../fields/offer';
import { CoreError } from '../notes';
import type { Range } from '../statistics/log-normal';
import { type TaskFactor, type TaskFactors, taskMinutes } from '../tasks/learn';
import { type TaskSize, TASKS } from '../tables/tasks';
import { techniques, WORK_KIND_LABEL, WORK_KINDS, type WorkKind } from '../tables/techniques';
import { quote, type QuoteLine, type QuoteRequest } from './quote';

/** The quilting of a quilt by kind of work, as its plan has it. */
export interface WorkOfKind {
  kind: WorkKind;
  areaIn2: number;
  /** Hours at the hands and stops of its zones. */
  hours: Range;
}

export interface OfferRequest {
  work: readonly WorkOfKind[];
  /** Loading, rolling, changing thread: hours of the quilt as a whole. */
  frameHours: Range;
  size: TaskSize;
  /** What the studio's clock says of its tasks, by task. */
  taskFactors?: readonly (readonly [string, TaskFactor])[];
  tasks: readonly string[];
  bobbins: number;
  supplied: readonly SuppliedFields[];
  basis: RatesFields['basis'];
  rates: Omit<RatesFields, 'basis' | 'taxPct'>;
  isRush: boolean;
  taxPct: number;
}

export interface Offer {
  lines: QuoteLine[];
  low: number;
  mid: number;
  high: number;
  /** Hours at the frame and at the table that it rests on. */
  frameHours: Range;
  tableHours: Range;
}

const RATE_OF = {
  edge: 'edgeMinor',
  light: 'lightMinor',
  custom: 'customMinor',
  dense: 'denseMinor',
} as const satisfies Record<WorkKind, keyof RatesFields>;
/** A price of an area is for so many square inches. */
const PER_IN2 = 100;
const NONE: Range = { low: 0, mid: 0, high: 0 };
const plus = (a: Range, b: Range): Range => ({
  low: a.low + b.low,
  mid: a.mid + b.mid,
  high: a.high + b.high,
});

/** Hours of one task with its range, as the studio's clock has it where it was timed. */
export function taskHours(id: string, size: TaskSize, factors?: TaskFactors): Range {
  const { low, mid, high } = taskMinutes(id, size, factors);
  return { low: low / 60, mid: mid / 60, high: high / 60 };
}

function workParts(r: OfferRequest): { label: string; part: QuoteRequest['parts'][number] }[] {
  const { hourMinor } = r.rates;
  const kinds = WORK_KINDS.flatMap((kind) => {
    const own = r.work.find((w) => w.kind === kind);
    if (!own || own.areaIn2 <= 0) return [];
    const label = `Quilting, ${WORK_KIND_LABEL[kind]}`;
    if (r.basis === 'area' && r.rates[RATE_OF[kind]] == null)
      throw new CoreError(
        'no-rate',
        `${label} has no price for its area: give it under Workroom, Rates, or charge by the hour.`,
        'basis',
      );
    return [{ label, part: { kind: label, areaIn2: own.areaIn2, hours: own.hours } }];
  });
  if (r.basis === 'hour' && hourMinor == null)
    throw new CoreError(
      'no-rate',
      'An hour at the frame has no price yet: give it under Workroom, Rates, or charge by area.',
      'basis',
    );
  // Charged by area, rolling and loading are in the price.
  return r.basis === 'area' || r.frameHours.mid <= 0
    ? kinds
    : [
        ...kinds,
        {
          label: 'Loading, rolling, changing thread',
          part: { kind: 'Loading, rolling, changing thread', hours: r.frameHours },
        },
      ];
}

/** What is added to lines as a line of its own, as a share of them. */
const added = (label: string, lines: readonly QuoteLine[], share: number): QuoteLine => {
  const at = (k: 'low' | 'mid' | 'high') => Math.round(lines.reduce((s, l) => s + l[k], 0) * share);
  return { label, low: at('low'), mid: at('mid'), high: at('high') };
};

/**
 * A quilt's offer: the quilting by the hour or by area and kind of work, what is done before and after, what is supplied,
 * rush and tax, each a line with its range in whole minor units that adds up exactly.
 * @throws CoreError `no-rate` at `basis`, or at `tasks` when an hour at the table has no price.
 */
export function offerOf(r: OfferRequest): Offer {
  if (r.taxPct < 0 || r.taxPct > 100)
    throw new CoreError('out-of-range', 'Tax must lie between 0 and 100 per cent.', 'taxPct');
  const parts = workParts(r);
  const perIn2 = Object.fromEntries(
    r.work.map((w) => [`Quilting, ${WORK_KIND_LABEL[w.kind]}`, (r.rates[RATE_OF[w.kind]] ?? 0) / PER_IN2]),
  );
  const work = quote({
    parts: parts.map((p) => p.part),
    rates: { perHour: r.rates.hourMinor ?? undefined, ...(r.basis === 'area' ? { perIn2 } : {}) },
    materials: [],
  }).lines;
  const tasks = r.tasks.map((id) => ({
    label: TASKS.get(id, 'tasks').label,
    hours: taskHours(id, r.size, new Map(r.taskFactors)),
  }));
  const tableHour = r.rates.tableHourMinor ?? r.rates.hourMinor;
  if (tasks.length > 0 && tableHour == null)
    throw new CoreError(
      'no-rate',
      'An hour at the table has no price yet: give it under Workroom, Rates, or take these out.',
      'tasks',
    );
  const table = quote({
    parts: tasks.map((t) => ({ kind: capital(t.label), hours: t.hours })),
    rates: { perHour: tableHour ?? undefined },
    materials: [],
  }).lines;
  const { leastMinor, rushPct } = r.rates;
  const lines = [...work, ...upToLeast(work, leastMinor)];
  if (r.isRush && rushPct > 0) lines.push(added(`Rush, ${rushPct} %`, lines, rushPct / 100));
  lines.push(...table, ...suppliedLines(r));
  if (r.taxPct > 0) lines.push(added(`Tax, ${r.taxPct} %`, lines, r.taxPct / 100));
  const all = (k: 'low' | 'mid' | 'high') => lines.reduce((s, l) => s + l[k], 0);
  return {
    lines,
    low: all('low'),
    mid: all('mid'),
    high: all('high'),
    frameHours: r.work.reduce((s, w) => plus(s, w.hours), r.frameHours),
    tableHours: tasks.reduce((s, t) => plus(s, t.hours), NONE),
  };
}

const NO_SIZE: TaskSize = { widthIn: 0, lengthIn: 0, pieces: 0, backingSeams: 0, backingSeamIn: 0 };

/**
 * The quilting of one zone at what the studio charges, by the hour or by its area and kind of work, whole minor units;
 * nothing that is charged once for a quilt is in it.
 * @throws CoreError `no-rate` in words where what it is charged by has no price.
 */
export function zonePrice(
  { basis, ...rates }: Omit<RatesFields, 'taxPct'>,
  zone: { technique: string; areaIn2: number; hours: Range },
): Range {
  const { low, mid, high } = offerOf({
    work: [{ kind: techniques.get(zone.technique).work, areaIn2: zone.areaIn2, hours: zone.hours }],
    frameHours: NONE,
    size: NO_SIZE,
    tasks: [],
    bobbins: 0,
    supplied: [],
    basis,
    rates: { ...rates, leastMinor: null },
    isRush: false,
    taxPct: 0,
  });
  return { low, mid, high };
}

/** Thread and what else the studio supplies, each with its price. */
function suppliedLines({ rates: { bobbinMinor }, bobbins, supplied }: OfferRequest): QuoteLine[] {
  const thread =
    bobbinMinor != null && bobbins > 0
      ? [{ label: 'Thread', amount: bobbins, unit: bobbins === 1 ? 'bobbin' : 'bobbins', price: bobbinMinor }]
      : [];
  const others = supplied.map((s) => ({
    label: s.label,
    amount: s.amount,
    unit: s.unit,
    price: s.priceMinor,
  }));
  return quote({ parts: [], rates: {}, materials: [...thread, ...others] }).lines;
}

/** What lifts the quilting to the least the studio takes for a quilt. */
function upToLeast(work: readonly QuoteLine[], leastMinor: number | null | undefined): QuoteLine[] {
  const sum = (k: 'low' | 'mid' | 'high') => work.reduce((s, l) => s + l[k], 0);
  if (leastMinor == null || sum('high') <= 0) return [];
  const up = (k: 'low' | 'mid' | 'high') => Math.max(0, leastMinor - sum(k));
  return up('mid') > 0
    ? [{ label: 'Up to the least for a quilt', low: up('low'), mid: up('mid'), high: up('high') }]
    : [];
}

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1);

/** A range of hours as a person says it: whole hours from 5 on, halves below; “7 to 9 hours”. */
export function hoursWords({ low, high }: Range): string {
  const step = high >= 5 ? 1 : 0.5;
  const [from, to] = [
    Math.max(step, Math.floor(low / step) * step),
    Math.max(step, Math.ceil(high / step) * step),
  ];
  return from === to ? `${from} ${from === 1 ? 'hour' : 'hours'}` : `${from} to ${to} hours`;
}
