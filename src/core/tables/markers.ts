import { table } from './lookup';
import type { Technique } from './techniques';

/** How light a fabric is, as a mark on it is seen. */
export type Tone = 'light' | 'mid' | 'dark';
/** What of a cloth a marking tool cannot stand. */
export type MarkTrait = 'silk' | 'satin' | 'pile' | 'batik' | 'lame' | 'knit' | 'lofty' | 'unwashed';
export type Marks = Technique['marks'];

/** A tool that marks a line to follow. One row is the whole truth about it (generic; judgements). */
export interface Marker {
  id: string;
  label: string;
  /** Tones it shows on; on a busy print it does not show unless it says so. */
  shows: readonly Tone[];
  onBusy: boolean;
  not: readonly MarkTrait[];
  /** Days a mark stays; infinite where only taking it off ends it. */
  lastsDays: number;
  lasts: string;
  /** Put on at the machine, pass by pass, whatever is marked. */
  atMachine: boolean;
  /** It comes off with water only. */
  wet: boolean;
  offBy: string;
  risk: string;
  /** How bad it may go, 0 harmless – 4 may stay for good. */
  riskRank: number;
  /** What it can draw. */
  draws: readonly Marks[];
  /** It goes through a stencil: half a minute and 0.02 a square inch instead of 0.15 an inch drawn. */
  stencil: boolean;
}

const USUAL = {
  shows: ['light', 'mid', 'dark'],
  onBusy: false,
  not: [],
  atMachine: false,
  wet: false,
  draws: ['ticks', 'spine', 'full'],
  stencil: false,
} as const;

type Own = Pick<Marker, 'id' | 'label' | 'lastsDays' | 'lasts' | 'offBy' | 'risk' | 'riskRank'>;
const tool = (own: Own & Partial<Marker>): Marker => ({ ...USUAL, ...own });

export const MARKERS = table<Marker>('Marking tool', [
  tool({
    id: 'air-pen',
    label: 'air-vanishing pen',
    shows: ['light', 'mid'],
    not: ['silk', 'satin', 'pile'],
    lastsDays: 0.4,
    lasts: '2 to 48 hours, less in damp air',
    offBy: 'air, or cold water',
    risk: 'An iron sets it for good.',
    riskRank: 3,
  }),
  tool({
    id: 'water-pen',
    label: 'water-soluble pen',
    shows: ['light', 'mid'],
    not: ['silk', 'satin', 'unwashed'],
    lastsDays: 21,
    lasts: 'weeks',
    wet: true,
    offBy: 'a cold soak first, then soap',
    risk: 'An iron or soap before the soak sets it.',
    riskRank: 3,
  }),
  tool({
    id: 'heat-pen',
    label: 'heat-erasing pen',
    not: ['batik', 'pile', 'lame'],
    lastsDays: Infinity,
    lasts: 'till it is hot',
    offBy: 'a hot iron',
    risk: 'It comes back in the cold, and may leave a pale ghost.',
    riskRank: 4,
  }),
  tool({
    id: 'chalk',
    label: 'chalk, or a pounce pad',
    shows: ['mid', 'dark'],
    not: ['pile'],
    lastsDays: 0.25,
    lasts: 'hours; rolling rubs it off',
    atMachine: true,
    offBy: 'a brush',
    risk: 'Coloured chalk may stain: take white.',
    riskRank: 2,
    stencil: true,
  }),
  tool({
    id: 'ceramic-pencil',
    label: 'ceramic pencil',
    shows: ['mid', 'dark'],
    lastsDays: 4,
    lasts: 'days',
    offBy: 'a damp sponge',
    risk: 'Little can go wrong.',
    riskRank: 1,
  }),
  tool({
    id: 'wax',
    label: 'wax marker',
    shows: ['dark'],
    not: ['silk'],
    lastsDays: 21,
    lasts: 'weeks',
    offBy: 'scraping; never under an iron',
    risk: 'It may leave grease.',
    riskRank: 4,
  }),
  tool({
    id: 'crease',
    label: 'crease',
    not: ['pile', 'knit', 'satin', 'lofty'],
    lastsDays: 2,
    lasts: '1 to 3 days',
    offBy: 'steam',
    risk: 'Little can go wrong.',
    riskRank: 1,
    draws: ['ticks', 'spine'],
  }),
  tool({
    id: 'tape',
    label: 'masking tape',
    onBusy: true,
    not: ['pile', 'silk'],
    lastsDays: 0.33,
    lasts: '8 hours at most',
    atMachine: true,
    offBy: 'peeling, the same day',
    risk: 'Gum stays when it is left on.',
    riskRank: 1,
    draws: ['ticks'],
  }),
  tool({
    id: 'soluble-film',
    label: 'soluble film, drawn on and laid over',
    onBusy: true,
    not: ['unwashed'],
    lastsDays: Infinity,
    lasts: 'till it is wet',
    wet: true,
    offBy: 'water; rinse all of it out',
    risk: 'What is left of it dries stiff.',
    riskRank: 2,
  }),
  tool({
    id: 'light',
    label: 'light from above',
    onBusy: true,
    lastsDays: Infinity,
    lasts: 'as long as it shines; no sun on the quilt',
    atMachine: true,
    offBy: 'switching it off',
    risk: 'Never look into the beam.',
    riskRank: 0,
  }),
]);
