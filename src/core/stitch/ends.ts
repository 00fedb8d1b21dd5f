import { ENDS, type EndWay } from '../tables/ends';
import { fabrics } from '../tables/fabrics';
import { fibres } from '../tables/fibres';
import { type Technique, techniques } from '../tables/techniques';
import { diameterMm, type Thread } from '../thread/thread';

/** The studio's way where nothing about the work decides. */
export type EndsSchool = 'lock' | 'bury' | 'back-tack';

/** What decides how a line begins and ends in a zone. */
export interface EndsRequest {
  technique: string;
  use: string;
  /** Fabrics of the zone; busyness 0–3 where it is known. */
  top: readonly { fabric: string; busyness?: number | null }[];
  thread: Thread | null;
  needleNm: number | null;
  /** Its lines reach the quilt's own edge. */
  meetsEdge: boolean;
  /** It lies beside something that is filled after it. */
  besideLater: boolean;
  school: EndsSchool;
  /** Where the machine can stop its needle, and whether it ties off by itself. */
  machine?: { stops: 'both' | 'up' | 'down'; ownTieOff: boolean };
}

/** How a line begins, ends, and where the needle stops; once a zone on card, Stand and sheet. */
export interface EndsAdvice {
  way: EndWay;
  start: string;
  end: string;
  stop: string;
  why: string;
  /** Minutes of a start with its end that both need tying off. */
  minutes: number;
}

const TINY = 5;
const TINY_ON_HOLES = 3;
const TINY_MONO = { count: 7, mm: 1.5 };
const LEAST_TINY_MM = 1.2;
/** Thread from this on is buried, mm. */
const THICK_MM = 0.25;

const tiny = (r: EndsRequest, holes: number): string => {
  if (r.thread && fibres.get(r.thread.fibre).mono) return `${TINY_MONO.count} stitches of ${TINY_MONO.mm} mm`;
  const mm = Math.max(LEAST_TINY_MM, (r.needleNm ?? 0) / 100 / 0.8);
  return `${holes >= 2 ? TINY_ON_HOLES : TINY} stitches of ${Number(mm.toFixed(2))} mm`;
};

/** Why a way is taken, the first that holds. */
function wayOf(r: EndsRequest, t: Technique, holes: number): { id: EndWay['id']; why: string } {
  if (r.meetsEdge) return { id: 'off-edge', why: 'The line meets the quilt’s edge: the binding holds it.' };
  if (r.besideLater && !t.area)
    return { id: 'into-neighbour', why: 'What lies beside it is quilted later and covers the end.' };
  const thread = r.thread && fibres.get(r.thread.fibre);
  const thick = r.thread ? diameterMm(r.thread) : 0;
  const buried: [boolean, string][] = [
    [r.use === 'show', 'It is for a show.'],
    [thread?.buryEnds ?? false, `${thread?.label ?? ''} does not hold in tiny stitches.`],
    [thick >= THICK_MM, `The thread is ${thick.toFixed(2)} mm thick: a knot of it would be seen.`],
    [holes >= 3, 'The fabric keeps every hole.'],
    [r.school === 'bury', 'This studio buries its ends.'],
  ];
  const bury = buried.find(([holds]) => holds);
  if (bury) return { id: 'bury', why: bury[1] };
  const hidden = r.top.some((f) => fabrics.get(f.fabric).nap || (f.busyness ?? 0) >= 3);
  if (r.school === 'back-tack' || hidden)
    return {
      id: 'back-tack',
      why: hidden ? 'Pile or a loud print hides it.' : 'This studio sews back and on again.',
    };
  return { id: 'lock-tiny', why: 'Tiny stitches hold and are hardly seen.' };
}

/** Where the needle stops when the hands do. */
function stopOf(t: Technique, machine: EndsRequest['machine']): string {
  if (t.singleStitches) return 'needle up';
  if (machine?.stops === 'up') return 'needle up: this machine stops so; turn it down by hand at a corner';
  return 'needle down';
}

/**
 * How lines of a zone begin and end, the first way that fits: off the edge, into the neighbour, buried, tiny stitches (or
 * back and on, by the studio's way). Judgements of the trade.
 * @example endsFor({ technique: 'swirls', use: 'bed', top: [{ fabric: 'quilting-cotton' }], thread: null, needleNm: 100, meetsEdge: false, besideLater: false, school: 'lock' }).way.id // 'lock-tiny'
 */
export function endsFor(r: EndsRequest): EndsAdvice {
  const t = techniques.get(r.technique, 'technique');
  const holes = Math.max(0, ...r.top.map((f) => fabrics.get(f.fabric).keepsHoles));
  const { id, why } = wayOf(r, t, holes);
  const way = ENDS.get(id);
  const own = r.machine?.ownTieOff && id === 'lock-tiny';
  const tied = own ? 'the machine’s own tie-off' : tiny(r, holes);
  const words: Partial<Record<EndWay['id'], [string, string]>> = {
    'lock-tiny': [`bobbin thread up, ${tied}`, `${tied}, tails cut after 2 in`],
  };
  const yarn: [string, string] = ['4 stitches across the yarn', '4 stitches across the yarn, cut at 1 in'];
  const [start, end] = t.couches ? yarn : (words[id] ?? [way.start, way.end]);
  return { way, start, end, stop: stopOf(t, r.machine), why, minutes: way.minutes };
}

/** The same in one line. */
export const endsLine = ({ start, end, stop }: EndsAdvice): string =>
  `Start: ${start}. End: ${end}. Stop: ${stop}.`;
