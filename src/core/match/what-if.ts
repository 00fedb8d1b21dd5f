import type { Use, VisibilityWish } from '../fields/lists';
import { labOf } from '../colour/delta-e';
import { CoreError } from '../notes';
import { features as featureTable } from '../tables/features';
import { techniques } from '../tables/techniques';
import { CRITERIA, type Criterion } from './criteria';
import { bestPairs, match } from './match';
import { type BobbinBook, bobbinBook } from './rank-bobbins';
import type { MatchRequest, MatchThread } from './request';
import type { Weighed } from './weigh';
import { type Pair, type WeighedZone, weighZone } from './weigh-zone';
import type { Shift } from './whole-quilt';

/** One thing that would have to be true, worded to follow “It would be best here if”. */
export interface Condition {
  code: string;
  text: string;
}

export interface WhatIf {
  /** It is the best already. */
  best: boolean;
  /** Why it cannot be sewn here at all as things are. */
  refused: string | null;
  /** Points of penalty behind the best; null when it is refused. */
  behind: number | null;
  /** Where the points are lost and won against the best, the largest first. */
  shifts: Shift[];
  /** Each of these alone would make it the best; when none would, pairs that do. */
  conditions: Condition[];
  /** Threads ahead of it. */
  ahead: string[];
}

interface Change extends Condition {
  apply(request: MatchRequest): MatchRequest;
}

const WISH: Record<VisibilityWish, string> = {
  sink: 'it were to sink',
  texture: 'it were to read as texture',
  show: 'it were to show',
};
const USE: Record<Use, string> = {
  bed: 'a bed quilt',
  baby: 'a baby’s quilt',
  wall: 'a wall quilt',
  show: 'a show quilt',
  garment: 'a garment',
  other: 'for some other use',
};
/** Fewer and more stitches per inch than usual that are tried. */
const SPI_TRIED = [8, 9, 10, 11, 12, 13, 14];
const SPACING_TRIED = [0.5, 1.5, 2, 3];
/** A bobbin thread is finest at about two thirds of the top. */
const IDEAL_BOBBIN = 0.65;
/** How many of the changes that help most are tried two by two. */
const PAIRED = 6;
const MOST_PAIRS = 3;

/**
 * What would have to be true for a thread to be the best of the shelf here. Every single change of the wish, the
 * work, the cloth, the stock, the drawer and the studio's schools is tried, and pairs of them when none suffices.
 * @throws CoreError when the thread is not on the shelf as a top thread, or the zone cannot be matched.
 */
export function whatWouldHaveToBeTrue(request: MatchRequest, topId: string): WhatIf {
  const thread = request.threads.find((t) => t.id === topId && t.role !== 'bobbin');
  if (!thread) throw new CoreError('unknown-id', 'This thread is not on the shelf as a top thread.', 'topId');
  const standing = scales(topId);
  const now = standing(request);
  if (now.gap === 0) return { best: true, refused: null, behind: 0, shifts: [], conditions: [], ahead: [] };
  const tried = changesFor(request, thread)
    .map((change) => ({ change, gap: standing(change.apply(request)).gap }))
    .sort((a, b) => a.gap - b.gap);
  const alone = tried.filter((t) => t.gap === 0).map((t) => t.change);
  return {
    best: false,
    refused: now.own ? null : whyRefused(request, topId),
    behind: Number.isFinite(now.gap) ? now.gap : null,
    shifts: now.own && now.first ? shiftsBetween(now.first, now.own) : [],
    conditions: alone.length > 0 ? gathered(alone) : inPairs(request, standing, tried.slice(0, PAIRED)),
    ahead: aheadOf(now.zone, topId),
  };
}

const whyRefused = (request: MatchRequest, topId: string): string =>
  match({ ...request, hold: { ...request.hold, topId }, limit: 1 }).cautions[0]?.text ??
  'Nothing in the drawer suits it.';

/** The threads that stand before it, best first; all of them when it cannot be sewn. */
function aheadOf(zone: WeighedZone, topId: string): string[] {
  const order = [...new Set(bestPairs(zone, Infinity).map((p) => p.top.thread.id))];
  const at = order.indexOf(topId);
  return at < 0 ? order : order.slice(0, at);
}

/**
 * Tells how far behind the best a thread stands in one request after another: 0 when it is the best, infinite when
 * it cannot be sewn. What the requests have in common is weighed once.
 */
function scales(topId: string) {
  const books: { request: MatchRequest; book: BobbinBook }[] = [];
  const alike = (a: MatchRequest, b: MatchRequest) =>
    a.threads === b.threads && a.preferences === b.preferences && a.hold?.bobbinId === b.hold?.bobbinId;
  const bookOf = (request: MatchRequest) => {
    const known = books.find((b) => alike(b.request, request));
    if (known) return known.book;
    const book = bobbinBook(request);
    books.push({ request, book });
    return book;
  };
  return (request: MatchRequest) => {
    const zone = weighZone(request, bookOf(request));
    const first = bestPairs(zone, 1)[0];
    const top = zone.tops.find((t) => t.thread.id === topId);
    const own = top && first?.top !== top ? bestPairs({ ...zone, tops: [top] }, 1)[0] : top && first;
    const gap = !own ? Infinity : first === own ? 0 : Math.max(1e-9, own.total - (first?.total ?? 0));
    return { zone, first, own, gap };
  };
}

function shiftsBetween(from: Pair, to: Pair): Shift[] {
  const parts = (p: Pair): Weighed['parts'] => ({ ...p.top.weighed.parts, ...p.weighed.parts });
  const [was, is] = [parts(from), parts(to)];
  return (Object.keys(CRITERIA) as Criterion[])
    .map((criterion) => ({ criterion, by: (is[criterion] ?? 0) - (was[criterion] ?? 0) }))
    .filter((s) => Math.abs(s.by) >= 0.02)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by));
}

type Changes = readonly (Change | false | undefined)[];

const changesFor = (request: MatchRequest, thread: MatchThread): Change[] =>
  [...workChanges(request), ...threadChanges(request, thread), ...studioChanges(request, thread)].filter(
    (c): c is Change => Boolean(c),
  );

/** Another wish, use, spacing, technique or cloth. */
function workChanges({ zone }: MatchRequest): Changes {
  const t = techniques.get(zone.technique, 'zone.technique');
  const spacing = zone.spacingIn ?? t.usualSpacingIn;
  const withZone = (part: Partial<MatchRequest['zone']>) => (r: MatchRequest) => ({
    ...r,
    zone: { ...r.zone, ...part },
  });
  return [
    ...(Object.keys(WISH) as VisibilityWish[])
      .filter((v) => v !== zone.visibility)
      .map((v) => ({ code: 'wish', text: WISH[v], apply: withZone({ visibility: v }) })),
    ...(Object.keys(USE) as Use[])
      .filter((u) => u !== zone.use)
      .map((u) => ({ code: 'use', text: `this were ${USE[u]}`, apply: withZone({ use: u }) })),
    ...SPACING_TRIED.map((k) => Number((spacing * k).toFixed(2))).map((g) => ({
      code: 'spacing',
      text: `the spacing were ${g} in`,
      apply: withZone({ spacingIn: g }),
    })),
    ...techniques.rows
      .filter((x) => x.id !== t.id && x.stabilises !== 'always' && x.couches === t.couches)
      .map((x) => ({
        code: 'technique',
        text: `the zone were sewn as ${x.label}`,
        apply: withZone({ technique: x.id, spacingIn: undefined, smallestRadiusIn: undefined }),
      })),
    ...(zone.features ?? []).map((f) => ({
      code: 'feature',
      text: `there were no ${featureTable.get(f).label} here`,
      apply: withZone({ features: zone.features!.filter((x) => x !== f) }),
    })),
  ];
}

/** The thread in another colour, with more of it, or a drawer and a shelf that suit it. */
function threadChanges(request: MatchRequest, thread: MatchThread): Changes {
  const withThread = (part: Partial<MatchThread>) => (r: MatchRequest) => ({
    ...r,
    threads: r.threads.map((x) => (x.id === thread.id ? { ...x, ...part } : x)),
  });
  return [
    wantedColour(request.zone, withThread),
    thread.remainingM != null && {
      code: 'stock',
      text: 'there were plenty of it left',
      apply: withThread({ remainingM: undefined }),
    },
    thread.labelNeedleNm && {
      code: 'label',
      text: 'the maker’s needle note did not rule',
      apply: withThread({ labelNeedleNm: undefined }),
    },
    request.needles && {
      code: 'needle',
      text: 'the drawer held every needle',
      apply: (r: MatchRequest) => ({ ...r, needles: undefined }),
    },
    {
      code: 'bobbin',
      text: 'there were a fine smooth bobbin thread in its colour',
      apply: (r: MatchRequest): MatchRequest => ({
        ...r,
        threads: [
          ...r.threads,
          {
            ...thread,
            id: 'ideal bobbin',
            role: 'bobbin',
            fibre: 'polyester-filament',
            tex: thread.tex * IDEAL_BOBBIN,
            remainingM: undefined,
          },
        ],
      }),
    },
  ];
}

/** Another school, stitch length, company or past. */
function studioChanges({ preferences = {}, ...request }: MatchRequest, thread: MatchThread): Changes {
  return [
    {
      code: 'school',
      text:
        preferences.bobbin === 'same'
          ? 'the studio put a fine filament under everything'
          : 'the studio put the same thread below',
      apply: (r: MatchRequest) => ({
        ...r,
        preferences: {
          ...r.preferences,
          bobbin: preferences.bobbin === 'same' ? ('fine' as const) : ('same' as const),
        },
      }),
    },
    ...SPI_TRIED.map((spi) => ({
      code: 'spi',
      text: `it were sewn at ${spi} per inch`,
      apply: (r: MatchRequest) => ({ ...r, hold: { ...r.hold, spi } }),
    })),
    request.others && {
      code: 'others',
      text: 'the other zones were sewn with it too',
      apply: (r: MatchRequest) => ({ ...r, others: r.others!.map((o) => ({ ...o, topId: thread.id })) }),
    },
    request.record && {
      code: 'record',
      text: 'your log had no faults with it',
      apply: (r: MatchRequest) => ({ ...r, record: undefined }),
    },
  ];
}

/** The thread in a colour that does what the zone asks for: the cloth's own, or far from it. */
function wantedColour(
  zone: MatchRequest['zone'],
  withThread: (part: Partial<MatchThread>) => Change['apply'],
): Change | undefined {
  const cloth = [...zone.top].sort((a, b) => (b.share ?? 1) - (a.share ?? 1)).find((c) => c.hex)?.hex;
  if (!cloth) return undefined;
  if (zone.visibility !== 'show')
    return { code: 'colour', text: 'it came in the colour of the fabric', apply: withThread({ hex: cloth }) };
  const hex = labOf(cloth).l > 50 ? '#101418' : '#fbfaf6';
  return {
    code: 'colour',
    text: `it came in a ${labOf(cloth).l > 50 ? 'dark' : 'light'} colour`,
    apply: withThread({ hex }),
  };
}

/** Conditions of one kind in one sentence: three techniques are named, not twelve lines long. */
function gathered(changes: readonly Change[]): Condition[] {
  const byCode = new Map<string, Change[]>();
  for (const c of changes) byCode.set(c.code, [...(byCode.get(c.code) ?? []), c]);
  return [...byCode].map(([code, [first, ...more]]) => {
    const rest = more.slice(0, 2).map((c) => c.text.replace(SHARED[code] ?? /^$/, ''));
    return { code, text: [first!.text, ...rest].join(' or ') };
  });
}

/** What sentences of one kind have in common, not said twice. */
const SHARED: Record<string, RegExp> = {
  wish: /^it were /,
  use: /^this were /,
  spacing: /^the lines were /,
  technique: /^the zone were sewn /,
  spi: /^it were sewn at /,
};

function inPairs(
  request: MatchRequest,
  standing: ReturnType<typeof scales>,
  helping: readonly { change: Change; gap: number }[],
): Condition[] {
  const found: Condition[] = [];
  helping.forEach(({ change: a }, i) => {
    for (const { change: b } of helping.slice(i + 1)) {
      const code = `${a.code}+${b.code}`;
      if (a.code === b.code || found.length >= MOST_PAIRS || found.some((f) => f.code === code)) continue;
      if (standing(b.apply(a.apply(request))).gap === 0)
        found.push({ code, text: `${a.text} and ${b.text}` });
    }
  });
  return found;
}
