import { deltaE, type Lab, labOf } from '../../colour/delta-e';
import { fibres } from '../../tables/fibres';
import { clamp } from '../../units/clamp';
import type { MatchThread } from '../request';
import type { SeenCloth } from '../zone-facts';
import { capital, type CriterionOf, type TopContext, type Said } from './criterion';

/** A clear monofilament takes the colour of the cloth; this is what is still seen of it, ΔE. */
const CLEAR_DELTA_E = 4;
/** Differences up to this disappear; this far off it is plainly the wrong colour. */
const [UNSEEN, PLAIN] = [5, 25];
/** What lies further off costs so much more for each further step: all wrong colours never tie. */
const FURTHER = { each: 25, costs: 0.4 } as const;
/** Among threads that all disappear the nearest comes first. */
const NEARER = 0.002;
/** Texture forgives a shade, but a cone of the cloth’s own colour is not left standing for a finer bobbin under another. */
const NEARER_TEXTURE = 0.02;
const UNKNOWN = 0.4;
/** Colours that change within about two stitches are mixed by the eye, inches. */
const MIXED_IN = 0.25;
/** A thread's colour this near to one of a print's own belongs to it. */
const IN_PRINT = 15;
/** A thread this far from the cloth is one the shelf has no better than; another would have to be bought. */
const FAR_OFF = 18;

/** How far a thread's colours lie from the cloths: mean, the furthest and the nearest cloth. */
interface Spread {
  mean: number;
  /** The mean of what lies nearest on each cloth, which decides where it should show. */
  meanNear: number;
  worst: number;
  least: number;
  /** What is seen of it: mostly the mean, a quarter the worst cloth, less what each cloth hides. */
  felt: number;
  worstAt: number;
  leastAt: number;
}

/** Colours a thread has along its length; one for most. */
export function coloursOf(t: { hex?: string; hexes?: readonly string[]; runIn?: number }): Lab[] {
  const along = (t.hexes && t.hexes.length > 0 ? t.hexes : t.hex ? [t.hex] : []).map(labOf);
  return along.length > 1 && (t.runIn ?? Infinity) < MIXED_IN ? [middleOf(along)] : along;
}

const middleOf = (labs: readonly Lab[]): Lab => {
  const mean = (of: (x: Lab) => number) => labs.reduce((sum, x) => sum + of(x), 0) / labs.length;
  return { l: mean((x) => x.l), a: mean((x) => x.a), b: mean((x) => x.b) };
};

/** What is said of a thread that changes along its length. */
function changing({ thread }: TopContext): string {
  const n = thread.hexes?.length ?? 0;
  if (n < 2) return '';
  if ((thread.runIn ?? Infinity) < MIXED_IN)
    return ` Its ${n} colours change within a stitch or two and are seen as one.`;
  return ` Of its ${n} colours${thread.runIn ? `, each for ${thread.runIn} in,` : ''} the one that does it worst counts.`;
}

/**
 * A thread's colours against the cloths. One that changes along its length is judged on a solid by its worst colour; on
 * a print by how much of it lies near none of the print's own colours. What each cloth hides is taken off cloth by cloth:
 * a plain ground beside a print hides nothing.
 */
export function spreadOf(thread: MatchThread, cloths: readonly SeenCloth[]): Spread | null {
  const own = coloursOf(thread);
  if (own.length === 0 || cloths.length === 0) return null;
  const onPrint =
    own.length > 1
      ? strayOf(
          own,
          cloths.filter((c) => c.print),
        )
      : null;
  const far = cloths.map((cloth) =>
    onPrint !== null && cloth.print ? onPrint : Math.max(...own.map((lab) => deltaE(lab, cloth.lab))),
  );
  const near = cloths.map((cloth) => Math.min(...own.map((lab) => deltaE(lab, cloth.lab))));
  const felt = far.map((de, i) => Math.max(0, de - cloths[i]!.hides));
  const mean = (of: readonly number[]) => of.reduce((sum, de, i) => sum + de * cloths[i]!.share, 0);
  const worst = Math.max(...far);
  const least = Math.min(...near);
  return {
    mean: mean(far),
    meanNear: mean(near),
    worst,
    least,
    felt: 0.75 * mean(felt) + 0.25 * Math.max(...felt),
    worstAt: felt.indexOf(Math.max(...felt)),
    leastAt: near.indexOf(least),
  };
}

/** How far a thread's colours stray from a print's: the mean distance of those near none, by how many they are. */
function strayOf(own: readonly Lab[], print: readonly SeenCloth[]): number | null {
  if (print.length === 0) return null;
  const nearest = own.map((lab) => Math.min(...print.map((cloth) => deltaE(lab, cloth.lab))));
  return nearest.reduce((sum, de) => sum + (de > IN_PRINT ? de : 0), 0) / own.length;
}

/** Nothing up to `from`, 1 where it is plainly wrong, and on from there more slowly, without end. */
const wrong = (de: number, from: number): number => {
  const plain = from + PLAIN - UNSEEN;
  return (
    clamp((de - from) / (PLAIN - UNSEEN), 0, 1) + (Math.max(0, de - plain) / FURTHER.each) * FURTHER.costs
  );
};

/** What a colour that should not be seen costs: grows from ΔE 5, is 1 at 25 and goes on by 0.4 for each further 25. */
export const sinkPenalty = (de: number): number => wrong(de, UNSEEN) + NEARER * de;

/** The same mirrored: what should be seen costs nothing from ΔE 25 on. */
const showPenalty = (de: number): number => clamp((PLAIN - de) / (PLAIN - UNSEEN), 0, 1.5);

/** Texture may differ a little: it costs from ΔE 12. */
const texturePenalty = (de: number): number => wrong(de, 12) + NEARER_TEXTURE * de;

function seen(c: TopContext): { de: number; spread: Spread | null } | null {
  const spread = spreadOf(c.thread, c.facts.cloths);
  if (!spread) {
    // Clear, and of no colour of its own.
    if (!c.fibre.mono || c.thread.hex) return null;
    return { de: Math.max(0, CLEAR_DELTA_E - c.facts.masking), spread: null };
  }
  return c.facts.zone.visibility === 'show'
    ? { de: 0.75 * spread.meanNear + 0.25 * spread.least, spread }
    : { de: spread.felt, spread };
}

/** A thread that lies nearer by this much is plainly nearer, ΔE. */
const PLAINLY_NEARER = 3;
/** Whether a thread plainly nearer in colour stands on the shelf: nobody is sent for one that is there. */
const onShelf = (c: TopContext, de: number): boolean =>
  (c.shelf ?? []).some((thread) => {
    const other = seen({ ...c, thread, fibre: fibres.get(thread.fibre) });
    return other?.spread != null && other.de < de - PLAINLY_NEARER;
  });

/** How far what should show stands off from the cloths, ΔE; null where a colour is not known. */
export const shownDeltaE = (c: TopContext): number | null => seen(c)?.de ?? null;
/** Whether it is said of this thread that it is hardly seen. */
export const hides = (c: TopContext): boolean => showPenalty(seen(c)?.de ?? PLAIN) > 0.5;

/** How well the thread's colour does what the zone asks for. In couching the yarn is seen, not the thread. */
export const colour: CriterionOf<TopContext> = {
  id: 'visibility',
  label: 'Colour',
  weight: 1,
  cost(c) {
    if (c.technique.couches && c.facts.yarn) return 0;
    const found = seen(c);
    if (!found) return UNKNOWN;
    switch (c.facts.zone.visibility) {
      case 'sink':
        return sinkPenalty(found.de);
      case 'texture':
        return texturePenalty(found.de);
      case 'show':
        return showPenalty(found.de);
    }
  },
  say(c, penalty) {
    if (c.technique.couches && c.facts.yarn) return {};
    const found = seen(c);
    if (!found)
      return {
        reason: {
          code: 'colour-unknown',
          text: `The colour of ${c.facts.cloths.length === 0 ? 'the fabric' : 'the thread'} is not known.`,
          act: 'Lay the cone on the top and judge it there.',
        },
      };
    return c.facts.zone.visibility === 'show' ? saysShown(c, found, penalty) : saysSunk(c, found, penalty);
  },
};

type Seen = NonNullable<ReturnType<typeof seen>>;

/** What is said of a thread that should sink, or read as texture only. */
function saysSunk(c: TopContext, { de, spread }: Seen, penalty: number): Said {
  const sinks = c.facts.zone.visibility === 'sink';
  const worst = spread && c.facts.cloths[spread.worstAt]!.name;
  const where = c.facts.cloths.length > 1 && worst ? ` on ${worst}` : '';
  if (penalty > 0.5)
    return {
      caution: {
        code: 'thread-shows',
        severity: 'note',
        text: sinks
          ? `Shows${where}, where it should sink.${changing(c)}`
          : `More colour than texture${where}.${changing(c)}`,
        act:
          de > FAR_OFF && worst && !onShelf(c, de)
            ? `A thread nearer to ${worst} would do better.`
            : undefined,
      },
    };
  if (c.facts.masking > 10 && (spread?.worst ?? 0) > UNSEEN)
    return { reason: { code: 'print-hides', text: 'On a busy ground hardly any thread is seen.' } };
  if (de > UNSEEN)
    return {
      reason: { code: 'thread-blends', text: `Blends: texture more than colour${where}.${changing(c)}` },
    };
  return {
    reason: sinks
      ? { code: 'thread-sinks', text: `Sinks in: nearly the colour of the fabric.${changing(c)}` }
      : { code: 'texture-reads', text: 'Close to the fabric: the texture speaks, not the thread.' },
  };
}

/** What is said of a thread that should show. */
function saysShown(c: TopContext, { spread }: Seen, penalty: number): Said {
  const many = c.facts.cloths.length > 1;
  const least = spread && many ? ` on ${c.facts.cloths[spread.leastAt]!.name}` : '';
  if (penalty > 0.5)
    return {
      caution: {
        code: 'thread-hides',
        severity: 'note',
        text: `Would hardly be seen${least}, where it should show.${changing(c)}`,
      },
    };
  return {
    reason: {
      code: 'thread-stands-out',
      text:
        penalty === 0
          ? `Stands out${many ? ' on every fabric of the zone' : ' from the fabric'}.`
          : `${capital('seen')}, least${least || ' where it is nearest in colour'}.`,
    },
  };
}
