import type { Range } from '../statistics/log-normal';
import { techniques, WORK_KINDS, type WorkKind } from '../tables/techniques';
import type { WorkOfKind } from './offer';

/** A zone's share of the quilting: its technique, area and minutes as predicted. */
export interface ZoneShare {
  technique: string;
  areaIn2: number;
  minutes: number;
}

/** Quilting by kind of work; the hours of all of it are shared out by the minutes of the zones, so that they add up. */
export function workByKind(zones: readonly ZoneShare[], hours: Range): WorkOfKind[] {
  const all = zones.reduce((s, z) => s + z.minutes, 0);
  return WORK_KINDS.flatMap((kind) => {
    const own = zones.filter((z) => techniques.get(z.technique).work === kind);
    if (own.length === 0) return [];
    const share = all > 0 ? own.reduce((s, z) => s + z.minutes, 0) / all : 0;
    return [
      {
        kind,
        areaIn2: own.reduce((s, z) => s + z.areaIn2, 0),
        hours: { low: hours.low * share, mid: hours.mid * share, high: hours.high * share },
      },
    ];
  });
}

/** How a kind of work came out against what was offered for it. */
export interface KindCameTo {
  kind: WorkKind;
  quilts: number;
  offeredMin: number;
  tookMin: number;
}

/** A step that was sewn on a quilt with an agreed offer: its minutes, and what was predicted of its parts. */
export interface OfferedStep {
  quiltId: string;
  minutes: number;
  parts: readonly { technique: string; handsMin: number; actsMin: number; setMin?: number }[];
}

/** Which kinds of work take longer than was offered: each step's minutes shared out over its parts. */
export function cameToByKind(
  offered: readonly { quiltId: string; work: readonly WorkOfKind[] }[],
  steps: readonly OfferedStep[],
): KindCameTo[] {
  const took = new Map<string, number>();
  for (const s of steps) {
    const of = (p: OfferedStep['parts'][number]) => p.handsMin + p.actsMin + (p.setMin ?? 0);
    const all = s.parts.reduce((sum, p) => sum + of(p), 0);
    if (all <= 0) continue;
    for (const p of s.parts) {
      const kind = techniques.find(p.technique)?.work;
      if (!kind) continue;
      const key = `${s.quiltId} ${kind}`;
      took.set(key, (took.get(key) ?? 0) + (s.minutes * of(p)) / all);
    }
  }
  return WORK_KINDS.flatMap((kind) => {
    const own = offered.flatMap((o) => {
      const part = o.work.find((w) => w.kind === kind);
      const minutes = took.get(`${o.quiltId} ${kind}`);
      return part && minutes !== undefined ? [{ offeredMin: part.hours.mid * 60, tookMin: minutes }] : [];
    });
    return own.length === 0
      ? []
      : [
          {
            kind,
            quilts: own.length,
            offeredMin: own.reduce((s, o) => s + o.offeredMin, 0),
            tookMin: own.reduce((s, o) => s + o.tookMin, 0),
          },
        ];
  });
}
