import { placeOn, type Scales } from '../machine/scales';
import { eyeRatio } from '../needle/eye';
import { type Caution, CoreError, type Reason } from '../notes';
import { curveFacts } from '../stitch/curve';
import { radiusOf } from '../stitch/regulate';
import { EYE_BEST, EYE_USABLE } from '../needle/eye';
import { battings } from '../tables/battings';
import { NEEDLE_SIZES } from '../tables/needles';
import { FEET, techniques } from '../tables/techniques';
import { readConeLine } from '../thread/read-cone-line';
import { tensionSaid } from '../tension/said';
import type { TensionSchool, Use, VisibilityWish } from '../fields/lists';
import { match } from './match';
import type { MatchMachine, MatchNeedle, MatchPreferences, MatchThread } from './request';
import type { Setup } from './setup';

/** What a quilter says at the shelf, or in a shop; nothing of it needs a quilt. */
export interface QuickAsk {
  fabric: string;
  batting: string;
  technique: string;
  backing: string;
  /** As typed from a label, the id of a cone on the shelf, or nothing: what would be taken. */
  thread: string;
  spacingIn?: number;
  use: Use;
  visibility: VisibilityWish;
}

/** What the studio has; nothing of it is needed. */
export interface QuickStudio {
  machine: MatchMachine | null;
  threads: readonly MatchThread[];
  needles: readonly MatchNeedle[];
  preferences?: MatchPreferences;
  /** How tensions are set here. */
  tensionSchool: TensionSchool;
  scales: Scales;
}

export interface QuickAnswer {
  setup: Setup;
  top: MatchThread;
  bobbin: MatchThread;
  /** Start tensions as this studio sets them. */
  topWords: string;
  bobbinWords: string;
  /** What was taken for granted, in words. */
  assumed: readonly string[];
  /** At most three things to watch for. */
  watch: readonly Caution[];
  /** One step to either side, and what it would change. */
  neighbours: readonly { what: string; then: string }[];
}

/** A longarm of the usual kind, where none is told. */
export const USUAL_MACHINE: MatchMachine = {
  maxSpm: 2000,
  idleMinSpm: 100,
  idleMaxSpm: 800,
  minSpi: 4,
  maxSpi: 18,
  modes: ['idling', 'resting', 'manual'],
  feet: FEET,
  bobbinMm: { od: 25, core: 7.6, width: 10 },
};

const kind = (
  id: string,
  name: string,
  tex: number,
  fibre: string,
  role: MatchThread['role'],
): MatchThread => ({
  id,
  name,
  tex,
  fibre,
  role,
});
/** Kinds of thread one may buy, where no shelf is told. */
const KINDS: readonly MatchThread[] = [
  kind('kind-40', '40 wt polyester', 25, 'polyester-filament', 'top'),
  kind('kind-60', '60 wt polyester', 16.7, 'polyester-filament', 'both'),
  kind('kind-100', '100 wt polyester', 10, 'polyester-filament', 'both'),
  kind('kind-cotton', '50/3 cotton', 35.4, 'cotton', 'top'),
  kind('kind-clear', 'clear polyester, 0.1 mm', 11, 'polyester-mono', 'top'),
];
const BOBBIN = KINDS[1]!;
/** The needle drawer of the usual studio, where none is told. */
const DRAWER: readonly MatchNeedle[] = [80, 90, 100, 110, 120].flatMap((nm) =>
  (['standard', 'large'] as const).map((eye) => ({ nm, eye, point: 'sharp' as const })),
);

/**
 * A set-up from the least that can be said: fabric, batting, technique and a thread.
 * @throws CoreError for ids that are not known, a label that cannot be read (path `thread`), and `nothing-suits` with
 * what to change where no needle suits.
 */
export function quickSetup(ask: QuickAsk, studio: QuickStudio): QuickAnswer {
  const technique = techniques.get(ask.technique, 'technique');
  battings.get(ask.batting, 'batting');
  const assumed: string[] = [];
  const machine = studio.machine ?? USUAL_MACHINE;
  if (!studio.machine)
    assumed.push(`a longarm of the usual kind, up to ${USUAL_MACHINE.maxSpm} stitches a minute`);
  const { threads, topId } = threadsFor(ask, studio, assumed);
  const needles = studio.needles.length > 0 ? studio.needles : DRAWER;
  if (studio.needles.length === 0) assumed.push('needles of Nm 80 to 120 to hand');
  const spacingIn = ask.spacingIn ?? technique.usualSpacingIn;
  if (ask.spacingIn === undefined && technique.density.kind === 'spacing')
    assumed.push(`a spacing of ${spacingIn} in`);
  const found = match({
    zone: {
      top: [{ fabric: ask.fabric }],
      backing: ask.backing,
      battingId: ask.batting,
      technique: ask.technique,
      spacingIn: ask.spacingIn,
      visibility: ask.visibility,
      use: ask.use,
    },
    machine,
    threads,
    needles,
    preferences: studio.preferences,
    hold: topId === null ? undefined : { topId },
    limit: 1,
  });
  const setup = found.setups[0];
  if (!setup)
    throw new CoreError(
      'nothing-suits',
      found.cautions[0]?.text ?? 'No needle suits this thread here. Try a finer thread.',
      'thread',
    );
  const by = (id: string) => threads.find((t) => t.id === id)!;
  const top = by(setup.topId);
  return {
    setup,
    top,
    bobbin: by(setup.bobbinId),
    ...tensionWords(setup, studio),
    assumed,
    watch: watchFor(setup),
    neighbours: neighboursOf(setup, top, ask),
  };
}

function threadsFor(
  ask: QuickAsk,
  { threads }: QuickStudio,
  assumed: string[],
): { threads: readonly MatchThread[]; topId: string | null } {
  const text = ask.thread.trim();
  const below = threads.some((t) => (t.role ?? 'both') !== 'top') ? threads : [...threads, BOBBIN];
  if (below !== threads && (text || threads.length > 0)) assumed.push(`${BOBBIN.name} in the bobbin`);
  if (!text) {
    assumed.push(
      threads.length === 0
        ? 'kinds of thread any shop has, in the fabric’s colour'
        : 'this line in the colour nearest to the fabric',
    );
    return { threads: threads.length > 0 ? below : KINDS, topId: null };
  }
  if (threads.some((t) => t.id === text)) return { threads: below, topId: text };
  const read = onThread(() => readConeLine(text));
  if (read.assumed.includes('fibre')) assumed.push('polyester, as no fibre is named');
  if (read.assumed.includes('size')) assumed.push(`size ${read.label}`);
  const typed: MatchThread = {
    id: 'typed',
    name: text,
    tex: read.tex,
    fibre: read.fibre,
    hex: read.colour?.hex,
    role: 'top',
  };
  return { threads: [...below, typed], topId: typed.id };
}

/** What is wrong with a label is wrong with the thread that was typed. */
function onThread<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof CoreError) throw new CoreError(error.code, error.message, 'thread');
    throw error;
  }
}

/** Start tensions as this studio sets them. */
function tensionWords(
  { topGf, bobbinGf }: Setup,
  { tensionSchool, scales }: QuickStudio,
): Pick<QuickAnswer, 'topWords' | 'bobbinWords'> {
  const words = (kind: 'top-dial' | 'bobbin-turns', gf: number) => {
    const { big, unit, beside } = tensionSaid(tensionSchool, kind, gf, placeOn(scales, kind, gf));
    return [unit ? `${big} ${unit}` : big, unit ? beside : ''].filter(Boolean).join(', ');
  };
  return { topWords: words('top-dial', topGf), bobbinWords: words('bobbin-turns', bobbinGf) };
}

const MOST_WATCHED = 3;
function watchFor({ cautions, reasons, safety }: Setup): Caution[] {
  const asNote = (r: Reason): Caution => ({ ...r, severity: 'note' });
  // The colour was not asked; it is told among what was taken for granted.
  const acts = reasons.filter((r) => r.act && r.code !== 'colour-unknown').map(asNote);
  return [...cautions, ...acts, ...safety].slice(0, MOST_WATCHED);
}

/** A needle size up and down, and a stitch more to the inch. */
function neighboursOf({ needle, spi }: Setup, top: MatchThread, ask: QuickAsk): QuickAnswer['neighbours'] {
  const at = NEEDLE_SIZES.findIndex((s) => s.nm === needle.nm);
  const size = (step: 1 | -1) => {
    const next = NEEDLE_SIZES[at + step];
    if (!next || next.nm > 120) return [];
    const fills = eyeRatio(top, next.nm, needle.eye);
    const eye =
      fills < EYE_USABLE[0] || fills > EYE_USABLE[1]
        ? `the thread ${fills > EYE_USABLE[1] ? 'would not run' : 'would wander'} in its eye`
        : fills > EYE_BEST[1]
          ? 'the thread would rub in its eye'
          : fills < EYE_BEST[0]
            ? 'roomier than the thread needs'
            : 'the thread runs as well';
    const blade = step > 0 ? 'it bends less and leaves a larger hole' : 'a smaller hole, and it bends more';
    return [
      {
        what: `Needle one size ${step > 0 ? 'up' : 'down'}, Nm ${next.nm} · US ${next.us}`,
        then: `${eye}; ${blade}.`,
      },
    ];
  };
  const radius = radiusOf(techniques.get(ask.technique), undefined, ask.spacingIn);
  const [now, finer] = [curveFacts(radius, spi).curve, curveFacts(radius, spi + 1).curve];
  const then =
    radius === null
      ? 'a finer line, slower to unpick.'
      : finer === now
        ? `curves stay ${now}, and it is slower to unpick.`
        : `curves come out ${finer} instead of ${now}.`;
  return [...size(1), ...size(-1), { what: `${Math.round(spi) + 1} stitches per inch`, then }];
}
