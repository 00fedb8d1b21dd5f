import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { features as featureTable } from '../tables/features';

/** The three layers where they are sewn. A fabric's share is of the zone's area. */
export interface Sandwich {
  top: readonly { fabric: string; share?: number }[];
  battingId: string;
  backing?: string;
  features?: readonly string[];
}

const shared = (top: Sandwich['top'], value: (fabricId: string) => number): number => {
  const weights = top.map((t) => t.share ?? 1);
  const sum = weights.reduce((a, b) => a + b, 0) || 1;
  return top.reduce((total, t, i) => total + (value(t.fabric) * (weights[i] ?? 0)) / sum, 0);
};

/** The layers' compressed thicknesses in mm, as they lie under a stitch. */
export interface Layers {
  topMm: number;
  battingMm: number;
  backingMm: number;
}

/**
 * Compressed layers in mm. Fabrics that lie side by side count by share; raised work adds a layer, interfacing its own thickness;
 * batting counts c·loft (c per batting, about 0.22). A backing not named counts as quilting cotton.
 */
export function layersMm(s: Sandwich): Layers {
  const batting = battings.get(s.battingId, 'battingId');
  const met = (s.features ?? []).map((f) => featureTable.get(f, 'features'));
  const extra = met.reduce((n, f) => n + f.extraLayers, 0);
  const added = met.reduce((n, f) => n + f.addsMm, 0);
  return {
    topMm: shared(s.top, (id) => fabrics.get(id, 'top').thicknessMm) * (1 + extra) + added,
    battingMm: batting.compression * batting.loftMm,
    backingMm: fabrics.get(s.backing ?? 'quilting-cotton', 'backing').thicknessMm,
  };
}

/**
 * Thickness under the stitch in mm, t = Σ fabric + c·loft.
 * @example thicknessMm({ top: [{ fabric: 'quilting-cotton' }], battingId: 'cotton-80-20' }) // 1.37
 */
export function thicknessMm(s: Sandwich): number {
  const { topMm, battingMm, backingMm } = layersMm(s);
  return topMm + battingMm + backingMm;
}

const allCloths = (s: Sandwich) => [
  ...s.top.map((t) => fabrics.get(t.fabric, 'top')),
  ...(s.backing ? [fabrics.get(s.backing, 'backing')] : []),
];

/**
 * Sideways firmness against the needle, quilting cotton = 1. The worst cloth decides, since the needle
 * meets each of them; features multiply. `atSpots` includes what is hard only in places (seam crossings).
 */
export function firmness(s: Sandwich, atSpots = false): number {
  const worst = Math.max(...allCloths(s).map((f) => f.firmness));
  return (s.features ?? []).reduce((total, id) => {
    const f = featureTable.get(id, 'features');
    return total * f.firmness * (atSpots ? f.firmnessAtSpots : 1);
  }, worst);
}

/** How much the cloths of a top stretch where they are sewn, 0 none – 3; interfacing behind them holds it. */
export const stretchOf = (top: readonly string[], features: readonly string[] = []): number =>
  Math.max(
    0,
    Math.max(0, ...top.map((id) => fabrics.get(id, 'top').stretch)) +
      features.reduce((sum, f) => sum + featureTable.get(f, 'features').stretch, 0),
  );

/** The strongest memory for needle holes among the cloths of the top, 0–3. */
export const holeMemory = (top: readonly string[]): number =>
  Math.max(0, ...top.map((id) => fabrics.get(id, 'top').keepsHoles));

/** Needle life factor of the cloths and features met (product, each kind once). */
export function wearFactor(s: Sandwich): number {
  const kinds = new Map(allCloths(s).map((f) => [f.id, f.wear]));
  const cloth = [...kinds.values()].reduce((a, b) => a * b, 1);
  return (s.features ?? []).reduce((total, id) => total * featureTable.get(id, 'features').wear, cloth);
}
