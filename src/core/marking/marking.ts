import { safety } from '../cautions/cautions';
import { labOf } from '../colour/delta-e';
import type { Caution } from '../notes';
import { markingMin } from '../plan/setting-out';
import { battings } from '../tables/battings';
import { fabrics } from '../tables/fabrics';
import { type Marker, MARKERS, type MarkTrait, type Tone } from '../tables/markers';
import { type Technique, techniques } from '../tables/techniques';

/** What a scrap said of a tool on a fabric. */
export const MARK_OUTCOMES = ['gone', 'ghost', 'stays'] as const;
export type MarkOutcome = (typeof MARK_OUTCOMES)[number];

/** A fabric as a mark is put on it. */
export interface MarkedCloth {
  /** The studio's own fabric, by which tests are remembered. */
  id: string;
  kind: string;
  name: string;
  hex: string | null;
  busyness: number | null;
}

export interface MarkingRequest {
  technique: string;
  cloths: readonly MarkedCloth[];
  batting: string;
  /** Days until it stands on the frame; 0 when it is there. */
  daysTillSewn: number;
  /** Whether marks may be washed out; null while nobody asked. */
  mayBeWet: boolean | null;
  /** Tools this studio does not use. */
  excluded: readonly string[];
  /** Tests on scraps, newest last. */
  tests: readonly { fabricId: string; marker: string; outcome: MarkOutcome }[];
  /** A hand that begins marks a grade more. */
  beginner?: boolean;
  /** For the minutes: edges (in), spacing (in), line sewn (in), area (in²). */
  edgeIn: number;
  spacingIn: number;
  sewnIn: number;
  areaIn2: number;
}

/** A tool that does, with when, how long, and what to mind. */
export interface MarkerPick {
  marker: Marker;
  /** Before loading, or at the machine as each pass comes up. */
  when: 'before-loading' | 'at-machine';
  minutes: number;
  /** Fabrics it was never tried on here: test on a scrap first. */
  untested: readonly string[];
  /** Fabrics where a scrap kept a ghost of it. */
  ghosts: readonly string[];
  /** The client has not said yet that it may be washed out. */
  askClient: boolean;
}

export interface Marking {
  /** What is marked, with the hand's grade. */
  marks: Technique['marks'];
  picks: MarkerPick[];
  refused: { marker: Marker; why: string }[];
  cautions: Caution[];
}

/** L* from which a fabric is light, and under which it is dark (judgement). */
const LIGHT_L = 70;
const DARK_L = 40;
/** From here a print is so busy that a drawn line is lost in it. */
const BUSY = 2;
const LOFTY_MM = 6;
/** A pass is sewn within this, days; a mark must last twice as long. */
const PASS_DAYS = 0.1;
const STENCIL_MIN = 0.5;
const STENCIL_MIN_PER_IN2 = 0.02;
const GRADE = { none: 'none', ticks: 'spine', spine: 'full', full: 'full' } as const;

/** Light, mid or dark by CIE L*; null where the colour is not known. */
export function toneOf(hex: string | null): Tone | null {
  if (hex === null) return null;
  const { l } = labOf(hex);
  return l >= LIGHT_L ? 'light' : l < DARK_L ? 'dark' : 'mid';
}

function traitsOf(kind: string, loftMm: number): MarkTrait[] {
  const f = fabrics.get(kind, 'cloths.kind');
  const traits: (MarkTrait | false)[] = [
    kind === 'silk' && 'silk',
    (kind === 'silk' || kind === 'velvet') && 'unwashed',
    f.looks?.weave === 'satin' && 'satin',
    (f.nap || f.standsUp || f.looks?.weave === 'brushed') && 'pile',
    kind === 'batik' && 'batik',
    kind === 'lame' && 'lame',
    f.knit && 'knit',
    loftMm > LOFTY_MM && 'lofty',
  ];
  return traits.filter((t): t is MarkTrait => t !== false);
}

const TRAIT_WORDS: Readonly<Record<MarkTrait, string>> = {
  silk: 'not on silk',
  satin: 'not on satin',
  pile: 'not on pile or a nap',
  batik: 'not on batik',
  lame: 'not on metallic fabric',
  knit: 'not on a knit',
  lofty: 'not over so thick a batting',
  unwashed: 'it must be rinsed out, and this fabric is not washed',
};

/** Why a tool does not do; null when it does. */
function refusalOf(
  marker: Marker,
  marks: Technique['marks'],
  days: number,
  r: MarkingRequest,
): string | null {
  if (r.excluded.includes(marker.id)) return 'this studio does not use it';
  if (!marker.draws.includes(marks))
    return marks === 'spine' ? 'it lies straight only' : 'it does not draw a whole design';
  const { loftMm } = battings.get(r.batting, 'batting');
  for (const c of r.cloths) {
    const trait = traitsOf(c.kind, loftMm).find((t) => marker.not.includes(t));
    if (trait) return `${TRAIT_WORDS[trait]} (${c.name})`;
    const tone = toneOf(c.hex);
    if (tone && !marker.shows.includes(tone)) return `it does not show on ${c.name}, which is ${tone}`;
    if (!marker.onBusy && (c.busyness ?? 0) >= BUSY) return `it is lost in the print of ${c.name}`;
    if (outcomeOn(marker, c, r) === 'stays') return `on a scrap of ${c.name} it stayed`;
  }
  if (marker.lastsDays < 2 * days) return `it may be gone before it is sewn: it lasts ${marker.lasts}`;
  if (marker.wet && r.mayBeWet === false) return 'this quilt is not to be washed out';
  return null;
}

const outcomeOn = (marker: Marker, cloth: MarkedCloth, { tests }: MarkingRequest): MarkOutcome | undefined =>
  tests.findLast((t) => t.fabricId === cloth.id && t.marker === marker.id)?.outcome;

/** A ghost on a scrap counts as the worst risk there is short of staying. */
const riskOf = (p: MarkerPick): number => (p.ghosts.length > 0 ? 5 : p.marker.riskRank);

/**
 * With what a zone is marked: the tools that show on every fabric of it, last twice as long as they must, come off in a way
 * that is agreed and are not excluded; the least risk first, then the fewest minutes. What a scrap said overrules the table.
 * @throws CoreError `unknown-id` for a technique, cloth or batting that is not known.
 */
export function markingFor(r: MarkingRequest): Marking {
  const t = techniques.get(r.technique, 'technique');
  const marks = r.beginner ? GRADE[t.marks] : t.marks;
  const out: Marking = { marks, picks: [], refused: [], cautions: [] };
  if (marks === 'none' || r.cloths.length === 0) return out;
  for (const marker of MARKERS.rows) {
    // A whole design is drawn while the top still lies flat; chalk, tape and light, and little marks, as each pass comes up.
    const when = marks === 'full' && !marker.atMachine ? 'before-loading' : 'at-machine';
    const days = when === 'before-loading' ? r.daysTillSewn + PASS_DAYS : PASS_DAYS;
    const why = refusalOf(marker, marks, days, r);
    if (why) {
      out.refused.push({ marker, why });
      continue;
    }
    const drawn = markingMin({ marks }, r);
    const said = (outcome: MarkOutcome | undefined) =>
      r.cloths.filter((c) => outcomeOn(marker, c, r) === outcome).map((c) => c.name);
    out.picks.push({
      marker,
      when,
      minutes:
        marks === 'full' && marker.stencil
          ? Math.min(drawn, STENCIL_MIN + STENCIL_MIN_PER_IN2 * r.areaIn2)
          : drawn,
      untested: marker.id === 'light' ? [] : said(undefined),
      ghosts: said('ghost'),
      askClient: marker.wet && r.mayBeWet === null,
    });
  }
  out.picks.sort((a, b) => riskOf(a) - riskOf(b) || a.minutes - b.minutes);
  const first = out.picks[0]?.marker.id;
  if (first === 'light') out.cautions.push(safety('beam-eyes'));
  if (first === 'heat-pen') out.cautions.push(safety('heat-marking'));
  return out;
}

const MARK_WORDS = { none: 'nothing', ticks: 'ticks', spine: 'a spine', full: 'the whole design' } as const;

/** What is marked, in words. */
export const markedWords = (marks: Technique['marks']): string => MARK_WORDS[marks];

/** One line for card and Stand; empty when nothing is marked. @example “Mark: ticks, with chalk, as each pass comes up.” */
export function markingLine({ marks, picks }: Pick<Marking, 'marks' | 'picks'>): string {
  const first = picks[0];
  if (marks === 'none') return '';
  if (!first) return `Mark: ${MARK_WORDS[marks]}; no tool does on every fabric here, see Marking.`;
  const test = first.untested.length > 0 ? ', tested on a scrap first' : '';
  return `Mark: ${MARK_WORDS[marks]}, with ${first.marker.label}${test}, ${
    first.when === 'before-loading' ? 'before loading' : 'as each pass comes up'
  }.`;
}
