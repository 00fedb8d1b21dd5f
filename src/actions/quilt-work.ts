import { areaOf } from '@/core/geometry/polygon';
import { sewnLengthIn } from '@/core/density/line-density';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { techniques } from '@/core/tables/techniques';
import { usage } from '@/core/usage/usage';
import type { ChosenSetup, Cone, Machine, Quilt, Zone } from '@/data/types';
import { sandwichOf } from './zone-brief';

export interface QuiltWork {
  /** Top thread by cone, metres, for the zones that have a set-up. */
  topM: Map<string, number>;
  /** Top and bobbin thread by cone, metres. */
  totalM: Map<string, number>;
}

const add = (to: Map<string, number>, id: string, m: number) => to.set(id, (to.get(id) ?? 0) + m);

/** What a quilt's zones ask of hands and cones, from the set-ups that stand. */
export function quiltWork(
  quilt: Quilt,
  zones: readonly Zone[],
  setups: ReadonlyMap<string, ChosenSetup>,
  cones: ReadonlyMap<string, Cone>,
  machine: Machine,
): QuiltWork {
  const work: QuiltWork = { topM: new Map(), totalM: new Map() };
  const bobbinMm = { od: machine.bobbinOdMm, core: machine.bobbinCoreMm, width: machine.bobbinWidthMm };
  for (const zone of zones) {
    const sewn = {
      technique: zone.technique,
      spacingIn: zone.spacingIn,
      areaIn2: areaOf(zone.geometry),
      lengthIn: zone.lengthIn ?? undefined,
    };
    const setup = setups.get(zone.id);
    const spi = setup?.spi ?? techniques.get(zone.technique).baseSpi;
    const top = setup && cones.get(setup.topId);
    const bobbin = setup && cones.get(setup.bobbinId);
    if (!top || !bobbin) continue;
    const used = usage({
      sewnLengthIn: sewnLengthIn(sewn),
      spi,
      thicknessMm: thicknessMm(sandwichOf(zone, quilt)),
      starts: Math.ceil(sewn.areaIn2 / 100),
      top,
      bobbin,
      bobbinMm,
    });
    add(work.topM, top.id, used.topM);
    add(work.totalM, top.id, used.topM);
    add(work.totalM, bobbin.id, used.bobbinM);
  }
  return work;
}

/** A quilt's colours as bands on its spool, by metres of top thread; before matching, its own fabrics stand in. */
export function spoolBands(
  work: QuiltWork,
  cones: ReadonlyMap<string, Cone>,
  zones: readonly Zone[],
): { hex: string; share: number }[] {
  const metres = [...work.topM].map(([id, m]) => ({ hex: cones.get(id)?.hex ?? '#e6e2d6', m }));
  const source =
    metres.length > 0
      ? metres
      : zones.flatMap((z) =>
          z.fabrics.slice(0, 1).map((f) => ({ hex: f.hex ?? '#e6e2d6', m: areaOf(z.geometry) })),
        );
  const byHex = new Map<string, number>();
  for (const s of source) add(byHex, s.hex, s.m);
  const sum = [...byHex.values()].reduce((a, b) => a + b, 0) || 1;
  return [...byHex]
    .map(([hex, m]) => ({ hex, share: m / sum }))
    .sort((a, b) => b.share - a.share)
    .slice(0, 5);
}
