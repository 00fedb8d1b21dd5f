import { deltaE, type Lab, labOf } from '../colour/delta-e';
import { lineDensity } from '../density/line-density';
import { fabrics } from '../tables/fabrics';
import { features } from '../tables/features';
import type { Technique } from '../tables/techniques';
import type { MatchZone, MatchYarn } from './request';

/** A cloth of the zone that is sewn over and whose colour is known. */
export interface SeenCloth {
  name: string;
  lab: Lab;
  /** Share of what is sewn over, adding up to 1. */
  share: number;
  /** How much it hides a thread, ΔE. */
  hides: number;
  print: boolean;
}

/** What of a zone the criteria ask for, worked out once for all threads. */
export interface ZoneFacts {
  zone: MatchZone;
  cloths: readonly SeenCloth[];
  /** The kind of cloth it mostly is. */
  mostly: string;
  /** How much its cloths hide a thread, in the mean, ΔE. */
  masking: number;
  /** How many clearly different colours its cloths have. */
  colours: number;
  lambda: number;
  /** Most of it stands up from the quilt: only a very fine thread sinks in. */
  standsUp: boolean;
  /** Washed and tumbled again and again: 1, gentler or seldom: less, 0 never. */
  wear: number;
  yarn?: MatchYarn;
  retraced?: number;
}

/** How hard a quilt is used, by what it is for: the usual case when nothing is said. */
const WEAR = { bed: 1, baby: 1, garment: 1, other: 0.5, wall: 0, show: 0 } as const;
const GENTLE = 0.4;
/** A busy cloth hides this much for each step of its busyness, ΔE. */
const BUSY_HIDES = 4;
/** Colours this far apart are two to the eye. */
const APART = 15;
/** A print of which nothing else is said. */
const USUAL_PRINT = 2;

/**
 * Cloths left unsewn are left out; shares are of what is sewn over. A cloth hides half the mean difference between the
 * zone's own colours (a plain one by as much as it lies in pieces), and four for each step of its busyness: on a loud
 * ground hardly any thread shows.
 */
export function zoneFacts(
  zone: MatchZone,
  technique: Technique,
  spacingIn: number,
  rest: { yarn?: MatchYarn; retraced?: number; wash?: 'gentle' | 'tumble' },
): ZoneFacts {
  const sewn = zone.top.filter((t) => t.sewnOver !== false);
  const all = sewn.length > 0 ? sewn : zone.top;
  const total = all.reduce((sum, t) => sum + (t.share ?? 1), 0) || 1;
  const coloured = all.filter((t) => t.hex !== undefined);
  const seen = coloured.reduce((sum, t) => sum + (t.share ?? 1), 0) || 1;
  const shown = coloured.map((t) => ({ t, lab: labOf(t.hex!), share: (t.share ?? 1) / seen }));
  let between = 0;
  for (const a of shown) for (const b of shown) between += a.share * b.share * deltaE(a.lab, b.lab);
  const cloths = shown.map(({ t, lab, share }) => {
    const busyness = busynessOf(t);
    const print = t.role === 'print' || busyness >= USUAL_PRINT;
    // Among many small pieces a thread is lost; on a plain ground beside a print it is seen.
    const pieces = print ? 1 : 1 - share;
    const hides = BUSY_HIDES * busyness + 0.5 * between * pieces;
    return { name: t.name ?? `${fabrics.get(t.fabric).label} ${t.hex}`, lab, share, hides, print };
  });
  const raised = (zone.features ?? []).some((f) => features.get(f, 'zone.features').extraLayers > 0);
  const upright = all.reduce(
    (sum, t) => sum + (fabrics.get(t.fabric).standsUp ? (t.share ?? 1) / total : 0),
    0,
  );
  const mostly = [...all].sort((a, b) => (b.share ?? 1) - (a.share ?? 1))[0]?.fabric ?? '';
  return {
    mostly,
    zone,
    cloths,
    masking: cloths.reduce((sum, c) => sum + c.share * c.hides, 0),
    colours: distinct(cloths.map((c) => c.lab)),
    lambda: lineDensity(technique, spacingIn, zone.areaIn2 ?? 1, zone.areaIn2 ? zone.lengthIn : undefined),
    standsUp: upright >= 0.5 || (raised && upright > 0),
    wear: WEAR[zone.use] * (rest.wash === 'gentle' ? GENTLE : 1),
    yarn: rest.yarn,
    retraced: rest.retraced,
  };
}

const busynessOf = (t: MatchZone['top'][number]): number =>
  t.busyness ?? (t.role === 'print' ? USUAL_PRINT : 0);

function distinct(labs: readonly Lab[]): number {
  const kept: Lab[] = [];
  for (const lab of labs) if (kept.every((k) => deltaE(k, lab) > APART)) kept.push(lab);
  return kept.length;
}
