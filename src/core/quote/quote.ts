import { CoreError } from '../notes';
import type { Range } from '../statistics/log-normal';

/** Money in minor units (cents), whole numbers. */
export interface QuoteLine {
  label: string;
  low: number;
  mid: number;
  high: number;
}

export interface QuoteRequest {
  parts: readonly { kind: string; areaIn2?: number; hours?: Range }[];
  /** Prices in minor units: an hour, and a square inch by kind of work. */
  rates: { perHour?: number; perIn2?: Readonly<Record<string, number>> };
  materials: readonly { label: string; amount: number; unit: string; price: number }[];
  taxPct?: number;
}

export interface Quote {
  lines: QuoteLine[];
  low: number;
  mid: number;
  high: number;
}

const inCents = (label: string, low: number, mid: number, high: number): QuoteLine => ({
  label,
  low: Math.round(low),
  mid: Math.round(mid),
  high: Math.round(high),
});
const sum = (lines: readonly QuoteLine[], at: 'low' | 'mid' | 'high') => lines.reduce((s, l) => s + l[at], 0);

/**
 * The price of a quilt: area × rate where the kind of work has one, else hours × rate with their range; materials;
 * tax. Each line is rounded by itself, and the totals are the sums of the lines, so that they add up exactly.
 * @throws CoreError `no-rate` when a part has neither an area with a rate nor hours with one.
 */
export function quote({ parts, rates, materials, taxPct = 0 }: QuoteRequest): Quote {
  const lines = parts.map((p, i): QuoteLine => {
    const perIn2 = rates.perIn2?.[p.kind];
    if (p.areaIn2 != null && perIn2 != null) {
      const price = p.areaIn2 * perIn2;
      return inCents(p.kind, price, price, price);
    }
    if (p.hours && rates.perHour != null) {
      const { low, mid, high } = p.hours;
      if (!(low <= mid && mid <= high))
        throw new CoreError('out-of-order', 'Hours run from low over middle to high.', `parts.${i}.hours`);
      return inCents(p.kind, low * rates.perHour, mid * rates.perHour, high * rates.perHour);
    }
    throw new CoreError(
      'no-rate',
      `“${p.kind}” has no price: give its area and a rate for that kind, or its hours and a rate an hour.`,
      `parts.${i}`,
    );
  });
  for (const m of materials) {
    const price = m.amount * m.price;
    lines.push(inCents(`${m.label}, ${Number(m.amount.toFixed(2))} ${m.unit}`, price, price, price));
  }
  if (taxPct > 0) {
    const tax = (at: 'low' | 'mid' | 'high') => (sum(lines, at) * taxPct) / 100;
    lines.push(inCents(`Tax, ${taxPct} %`, tax('low'), tax('mid'), tax('high')));
  }
  return { lines, low: sum(lines, 'low'), mid: sum(lines, 'mid'), high: sum(lines, 'high') };
}
