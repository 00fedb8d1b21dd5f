import { sewnLengthIn } from '../density/line-density';
import { usage, type UsageRequest } from './usage';

/** What the thread of one zone is reckoned from; a zone without a set-up takes none that is known. */
export interface ZoneThread {
  technique: string;
  spacingIn: number;
  areaIn2: number;
  lengthIn?: number;
  /** Places a line is begun at; 1 where it is not said. */
  starts?: number;
  thicknessMm: number;
  setup: { spi: number; top: Spooled; bobbin: Spooled; needle?: string } | null;
}
type Spooled = UsageRequest['top'] & { id: string };

/** Metres by thread. */
export interface QuiltThread {
  /** Top thread. */
  topM: Map<string, number>;
  /** Top and bobbin thread together. */
  totalM: Map<string, number>;
  /** Bobbin thread. */
  bobbinM: Map<string, number>;
  /** Metres one bobbin of each thread holds. */
  capacityM: Map<string, number>;
  /** Stitches by the needle of the set-up. */
  stitches: Map<string, number>;
}

/** Metres of thread the zones of a quilt ask for, by thread, from the set-ups that stand. */
export function quiltThread(zones: readonly ZoneThread[], bobbinMm: UsageRequest['bobbinMm']): QuiltThread {
  const topM = new Map<string, number>();
  const totalM = new Map<string, number>();
  const bobbinM = new Map<string, number>();
  const capacityM = new Map<string, number>();
  const stitches = new Map<string, number>();
  const add = (to: Map<string, number>, id: string, m: number) => to.set(id, (to.get(id) ?? 0) + m);
  for (const { setup, thicknessMm, ...zone } of zones) {
    if (!setup) continue;
    const used = usage({
      ...setup,
      sewnLengthIn: sewnLengthIn(zone),
      thicknessMm,
      starts: zone.starts ?? 1,
      bobbinMm,
    });
    add(topM, setup.top.id, used.topM);
    add(totalM, setup.top.id, used.topM);
    add(totalM, setup.bobbin.id, used.bobbinM);
    add(bobbinM, setup.bobbin.id, used.bobbinM);
    capacityM.set(setup.bobbin.id, used.bobbinCapacityM);
    if (setup.needle) add(stitches, setup.needle, used.stitches);
  }
  return { topM, totalM, bobbinM, capacityM, stitches };
}
