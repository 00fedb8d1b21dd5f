import { table } from './lookup';

/** How a technique's line density follows from its spacing g (inches): λ = k / g, its own length, or nothing sewn at all. */
export type DensityRule = { kind: 'spacing'; k: number } | { kind: 'own-length' } | { kind: 'none' };

export type TechniqueMode = 'idling' | 'idling-low' | 'resting' | 'manual';
export type FootId = 'open-toe' | 'ruler' | 'bowl' | 'couching' | 'closed';

/** Kinds of quilting as a price list knows them. */
export const WORK_KINDS = ['edge', 'light', 'custom', 'dense'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];
export const WORK_KIND_LABEL: Record<WorkKind, string> = {
  edge: 'edge to edge',
  light: 'light',
  custom: 'custom',
  dense: 'dense',
};

/** What is stitched in a zone. One row is the whole truth about a technique. */
export interface Technique {
  id: string;
  label: string;
  /** Usual hand speed, in/s. */
  handInPerS: number;
  baseSpi: number;
  /** Smallest usual curve radius; null for straight lines, 'half-spacing' for pebbles. */
  radiusIn: number | null | 'half-spacing';
  /** Share sewn twice. */
  backtrack: number;
  /** 1 hard – 5 easy. */
  forgiving: number;
  mode: TechniqueMode;
  foot: FootId | 'any';
  density: DensityRule;
  /** Spacing assumed when none is given, inches. */
  usualSpacingIn: number;
  /** It fills an area, so that its thread bears the wear of the quilt; lines beside seams do not. */
  area: boolean;
  /** It holds the layers before anything is filled in: always, as ditches do, as outlines do; else it fills. */
  stabilises: 'always' | 'ditch' | 'outline' | null;
  /** A ruler lies beside the foot. */
  besideRuler: boolean;
  /** The ruler is moved on and on along the line; a ditch is mostly followed by eye. */
  rulerMoves: boolean;
  /** Its lines cross, and what is pushed ahead gathers at the crossings. */
  crosses: boolean;
  /** It is meant to pile up: neither ropes nor facets are said of it. */
  pilesUp: boolean;
  /** Its thread holds a yarn. */
  couches: boolean;
  /** Single quick stitches, not a slow long one. */
  singleStitches: boolean;
  /** Nothing is sewn: the batting holds the zone by itself, within its distance. */
  leftOpen: boolean;
  /** Long straight lines that hold the layers while something else is filled in. */
  holds: boolean;
  /** It draws a figure, sewn before the ground round it. */
  figure: boolean;
  /** Its lines follow what is drawn on the map, and a way round them without lifting is found: along the edges, or in arcs from corner to corner. */
  routed: 'edges' | 'arcs' | null;
  /** What kind of work it is on a price list (judgement). */
  work: WorkKind;
  /** What is marked for it: nothing, ticks, a spine, or all of it. */
  marks: 'none' | 'ticks' | 'spine' | 'full';
}

const USUAL = {
  area: true,
  stabilises: null,
  besideRuler: false,
  rulerMoves: false,
  crosses: false,
  pilesUp: false,
  couches: false,
  singleStitches: false,
  leftOpen: false,
  holds: false,
  figure: false,
  routed: null,
  work: 'custom',
  marks: 'none',
} as const;
const technique = (own: Omit<Technique, keyof typeof USUAL> & Partial<Technique>): Technique => ({
  ...USUAL,
  ...own,
});

export const techniques = table<Technique>('Technique', [
  technique({
    id: 'open',
    label: 'left open',
    work: 'light',
    handInPerS: 1,
    baseSpi: 11,
    radiusIn: null,
    backtrack: 0,
    forgiving: 5,
    mode: 'resting',
    foot: 'any',
    density: { kind: 'none' },
    usualSpacingIn: 4,
    area: false,
    leftOpen: true,
  }),
  technique({
    id: 'baste',
    label: 'basting',
    work: 'light',
    handInPerS: 2.5,
    baseSpi: 4,
    radiusIn: null,
    backtrack: 0,
    forgiving: 5,
    mode: 'idling',
    foot: 'any',
    density: { kind: 'own-length' },
    usualSpacingIn: 4,
    area: false,
    stabilises: 'always',
    singleStitches: true,
  }),
  technique({
    id: 'ditch',
    label: 'in the ditch',
    work: 'light',
    routed: 'edges',
    handInPerS: 0.9,
    baseSpi: 11,
    radiusIn: null,
    backtrack: 0.1,
    forgiving: 1,
    mode: 'resting',
    foot: 'ruler',
    density: { kind: 'own-length' },
    usualSpacingIn: 4,
    area: false,
    stabilises: 'ditch',
    besideRuler: true,
  }),
  technique({
    id: 'outline',
    label: 'outline',
    work: 'light',
    routed: 'edges',
    handInPerS: 1,
    baseSpi: 12,
    radiusIn: 0.25,
    backtrack: 0.1,
    forgiving: 2,
    mode: 'resting',
    foot: 'open-toe',
    density: { kind: 'own-length' },
    usualSpacingIn: 3,
    area: false,
    stabilises: 'outline',
  }),
  technique({
    id: 'ruler-lines',
    label: 'ruler lines',
    work: 'light',
    handInPerS: 1.2,
    baseSpi: 11,
    radiusIn: null,
    backtrack: 0.02,
    forgiving: 2,
    mode: 'idling-low',
    foot: 'ruler',
    density: { kind: 'spacing', k: 1 },
    usualSpacingIn: 1,
    besideRuler: true,
    rulerMoves: true,
    holds: true,
    marks: 'ticks',
  }),
  technique({
    id: 'grid',
    label: 'grid',
    handInPerS: 1.2,
    baseSpi: 11,
    radiusIn: null,
    backtrack: 0.02,
    forgiving: 2,
    mode: 'idling-low',
    foot: 'ruler',
    density: { kind: 'spacing', k: 2 },
    usualSpacingIn: 1,
    besideRuler: true,
    rulerMoves: true,
    crosses: true,
    marks: 'ticks',
  }),
  technique({
    id: 'ruler-arcs',
    label: 'ruler arcs',
    routed: 'arcs',
    handInPerS: 1.1,
    baseSpi: 12,
    radiusIn: 2,
    backtrack: 0.05,
    forgiving: 2,
    mode: 'idling-low',
    foot: 'ruler',
    density: { kind: 'spacing', k: 4.2 },
    usualSpacingIn: 3,
    besideRuler: true,
    rulerMoves: true,
    marks: 'ticks',
  }),
  technique({
    id: 'echo',
    label: 'echo',
    handInPerS: 1.5,
    baseSpi: 11,
    radiusIn: 0.5,
    backtrack: 0.05,
    forgiving: 3,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1 },
    usualSpacingIn: 0.5,
  }),
  technique({
    id: 'echo-irregular',
    label: 'irregular echo',
    work: 'light',
    handInPerS: 2.2,
    baseSpi: 10,
    radiusIn: 0.5,
    backtrack: 0.03,
    forgiving: 5,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1 },
    usualSpacingIn: 0.75,
  }),
  technique({
    id: 'meander-large',
    label: 'large meander',
    work: 'edge',
    handInPerS: 2.5,
    baseSpi: 10,
    radiusIn: 0.75,
    backtrack: 0,
    forgiving: 5,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.05 },
    usualSpacingIn: 2,
  }),
  technique({
    id: 'meander-medium',
    label: 'medium meander',
    work: 'light',
    handInPerS: 2.1,
    baseSpi: 10,
    radiusIn: 0.4,
    backtrack: 0,
    forgiving: 5,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.05 },
    usualSpacingIn: 1,
  }),
  technique({
    id: 'meander-small',
    label: 'small meander',
    handInPerS: 1.5,
    baseSpi: 12,
    radiusIn: 0.2,
    backtrack: 0.02,
    forgiving: 4,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.05 },
    usualSpacingIn: 0.5,
  }),
  technique({
    id: 'micro-fill',
    label: 'micro fill',
    work: 'dense',
    handInPerS: 0.8,
    baseSpi: 14,
    radiusIn: 0.08,
    backtrack: 0.1,
    forgiving: 2,
    mode: 'idling-low',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.05 },
    usualSpacingIn: 0.15,
  }),
  technique({
    id: 'loops',
    label: 'loops',
    work: 'light',
    handInPerS: 1.9,
    baseSpi: 11,
    radiusIn: 0.3,
    backtrack: 0,
    forgiving: 4,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.05 },
    usualSpacingIn: 1,
  }),
  technique({
    id: 'overlapping-waves',
    label: 'overlapping waves',
    work: 'light',
    handInPerS: 2,
    baseSpi: 11,
    radiusIn: 0.3,
    backtrack: 0.1,
    forgiving: 5,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.15 },
    usualSpacingIn: 1,
  }),
  technique({
    id: 'swirls',
    label: 'swirls',
    handInPerS: 1.5,
    baseSpi: 12,
    radiusIn: 0.18,
    backtrack: 0.15,
    forgiving: 4,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.05 },
    usualSpacingIn: 0.5,
  }),
  technique({
    id: 'pebbles',
    label: 'pebbles',
    work: 'dense',
    handInPerS: 0.9,
    baseSpi: 13,
    radiusIn: 'half-spacing',
    backtrack: 0.6,
    forgiving: 3,
    mode: 'idling-low',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 3.63 },
    usualSpacingIn: 0.25,
  }),
  technique({
    id: 'feathers',
    label: 'feathers',
    handInPerS: 1.4,
    baseSpi: 12,
    radiusIn: 0.25,
    backtrack: 0.3,
    forgiving: 3,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.15 },
    usualSpacingIn: 0.5,
    figure: true,
    marks: 'spine',
  }),
  technique({
    id: 'leaves',
    label: 'leaves',
    handInPerS: 1.5,
    baseSpi: 11,
    radiusIn: 0.3,
    backtrack: 0.2,
    forgiving: 3,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.15 },
    usualSpacingIn: 0.75,
    figure: true,
    marks: 'spine',
  }),
  technique({
    id: 'teardrop-echo',
    label: 'echoed teardrops',
    handInPerS: 1.4,
    baseSpi: 12,
    radiusIn: 0.25,
    backtrack: 0.25,
    forgiving: 3,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.15 },
    usualSpacingIn: 0.4,
    figure: true,
  }),
  technique({
    id: 'comb',
    label: 'comb',
    handInPerS: 1.1,
    baseSpi: 12,
    radiusIn: 0.12,
    backtrack: 0.3,
    forgiving: 3,
    mode: 'resting',
    foot: 'open-toe',
    density: { kind: 'spacing', k: 1.15 },
    usualSpacingIn: 0.3,
    figure: true,
    marks: 'spine',
  }),
  technique({
    id: 'web',
    label: 'radiating lines',
    handInPerS: 1.3,
    baseSpi: 11,
    radiusIn: 0.5,
    backtrack: 0.05,
    forgiving: 4,
    mode: 'resting',
    foot: 'ruler',
    density: { kind: 'own-length' },
    usualSpacingIn: 2,
    besideRuler: true,
    rulerMoves: true,
    figure: true,
  }),
  technique({
    id: 'follow-print',
    label: 'following the print',
    handInPerS: 1.3,
    baseSpi: 11,
    radiusIn: 0.2,
    backtrack: 0.2,
    forgiving: 4,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'own-length' },
    usualSpacingIn: 1,
  }),
  technique({
    id: 'thread-painting',
    label: 'thread painting',
    work: 'dense',
    handInPerS: 0.9,
    baseSpi: 13,
    radiusIn: 0.1,
    backtrack: 1.5,
    forgiving: 4,
    mode: 'manual',
    foot: 'open-toe',
    density: { kind: 'own-length' },
    usualSpacingIn: 0.2,
    pilesUp: true,
    figure: true,
  }),
  technique({
    id: 'couching',
    label: 'couching',
    handInPerS: 0.7,
    baseSpi: 11,
    radiusIn: 0.75,
    backtrack: 0,
    forgiving: 3,
    mode: 'resting',
    foot: 'couching',
    density: { kind: 'own-length' },
    usualSpacingIn: 1,
    area: false,
    couches: true,
    figure: true,
  }),
  technique({
    id: 'guided-pattern',
    label: 'pantograph, edge to edge',
    work: 'edge',
    handInPerS: 2,
    baseSpi: 11,
    radiusIn: null,
    backtrack: 0,
    forgiving: 4,
    mode: 'idling',
    foot: 'open-toe',
    density: { kind: 'own-length' },
    usualSpacingIn: 1,
  }),
]);

export const FOOT_LABEL: Record<FootId, string> = {
  'open-toe': 'Open-toe foot',
  ruler: 'Ruler foot',
  bowl: 'Bowl foot',
  couching: 'Couching foot',
  closed: 'Closed foot',
};
export const FEET = Object.keys(FOOT_LABEL) as FootId[];

/** Why each foot, in a few words under its name on the card. */
export const FOOT_WHY: Record<FootId, string> = {
  'open-toe': 'clear sight of the line',
  ruler: 'tall rim for the ruler',
  bowl: 'glides over raised work',
  couching: 'hole for the yarn',
  closed: 'holds the fabric all round',
};
