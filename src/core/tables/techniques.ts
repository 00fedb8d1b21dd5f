import { table } from './lookup';

/** How a technique's line density follows from its spacing g (inches): λ = k / g, or its own length. */
export type DensityRule = { kind: 'spacing'; k: number } | { kind: 'own-length' };

export type TechniqueMode = 'idling' | 'idling-low' | 'resting' | 'manual';
export type FootId = 'open-toe' | 'ruler' | 'bowl' | 'couching' | 'closed';

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
}

const OWN = 'own';
const tech = (
  id: string,
  label: string,
  handInPerS: number,
  baseSpi: number,
  radiusIn: Technique['radiusIn'],
  backtrack: number,
  forgiving: number,
  mode: TechniqueMode,
  foot: FootId | 'any',
  k: number | typeof OWN,
  usualSpacingIn: number,
): Technique => ({
  id,
  label,
  handInPerS,
  baseSpi,
  radiusIn,
  backtrack,
  forgiving,
  mode,
  foot,
  density: k === OWN ? { kind: 'own-length' } : { kind: 'spacing', k },
  usualSpacingIn,
});

export const techniques = table<Technique>('Technique', [
  tech('baste', 'basting', 4, 4, null, 0, 5, 'idling', 'any', OWN, 4),
  tech('ditch', 'in the ditch', 0.9, 11, null, 0.1, 1, 'resting', 'ruler', OWN, 4),
  tech('outline', 'outline', 1, 12, 0.25, 0.1, 2, 'resting', 'open-toe', OWN, 3),
  tech('ruler-lines', 'ruler lines', 1.3, 11, null, 0.02, 2, 'idling-low', 'ruler', 1, 1),
  tech('grid', 'grid', 1.3, 11, null, 0.02, 2, 'idling-low', 'ruler', 2, 1),
  tech('ruler-arcs', 'ruler arcs', 1.2, 12, 2, 0.05, 2, 'idling-low', 'ruler', 4.2, 3),
  tech('echo', 'echo', 2, 11, 0.5, 0.05, 3, 'idling', 'open-toe', 1, 0.5),
  tech('echo-irregular', 'irregular echo', 3.5, 10, 0.5, 0.03, 5, 'idling', 'open-toe', 1, 0.75),
  tech('meander-large', 'large meander', 5, 10, 0.75, 0, 5, 'idling', 'open-toe', 1.05, 2),
  tech('meander-medium', 'medium meander', 3.5, 10, 0.4, 0, 5, 'idling', 'open-toe', 1.05, 1),
  tech('meander-small', 'small meander', 2, 12, 0.2, 0.02, 4, 'idling', 'open-toe', 1.05, 0.5),
  tech('micro-fill', 'micro fill', 0.8, 14, 0.08, 0.1, 2, 'idling-low', 'open-toe', 1.05, 0.15),
  tech('loops', 'loops', 3, 11, 0.3, 0, 4, 'idling', 'open-toe', 1.05, 1),
  tech('overlapping-waves', 'overlapping waves', 3, 11, 0.3, 0.1, 5, 'idling', 'open-toe', 1.15, 1),
  tech('swirls', 'swirls', 2, 12, 0.18, 0.15, 4, 'idling', 'open-toe', 1.05, 0.5),
  tech('pebbles', 'pebbles', 1, 13, 'half-spacing', 0.6, 3, 'idling-low', 'open-toe', 3.63, 0.25),
  tech('feathers', 'feathers', 1.8, 12, 0.25, 0.3, 3, 'idling', 'open-toe', 1.15, 0.5),
  tech('leaves', 'leaves', 2, 11, 0.3, 0.2, 3, 'idling', 'open-toe', 1.15, 0.75),
  tech('teardrop-echo', 'echoed teardrops', 2, 12, 0.25, 0.25, 3, 'idling', 'open-toe', 1.15, 0.4),
  tech('comb', 'comb', 1.5, 12, 0.12, 0.3, 3, 'resting', 'open-toe', 1.15, 0.3),
  tech('web', 'radiating lines', 1.5, 11, 0.5, 0.05, 4, 'resting', 'ruler', OWN, 2),
  tech('follow-print', 'following the print', 1.8, 11, 0.2, 0.2, 4, 'idling', 'open-toe', OWN, 1),
  tech('thread-painting', 'thread painting', 0.9, 13, 0.1, 1.5, 4, 'manual', 'open-toe', OWN, 0.2),
  tech('couching', 'couching', 0.7, 11, 0.75, 0, 3, 'resting', 'couching', OWN, 1),
  tech('guided-pattern', 'guided pattern', 2.5, 11, null, 0, 4, 'idling', 'open-toe', OWN, 1),
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
  closed: 'holds the cloth all round',
};

/** True when a ruler lies beside the foot, ditches included. */
export const besideRuler = (t: Technique): boolean => t.foot === 'ruler';

/** True when the ruler is moved on and on along the line; a ditch is mostly followed by eye. */
export const usesRuler = (t: Technique): boolean => t.foot === 'ruler' && t.id !== 'ditch';
