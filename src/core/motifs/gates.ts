import { techniques } from '../tables/techniques';
import { type Motif } from './motif-table';
import type { MotifsRequest } from './request';
import { HAND, leastSpacing, levelOf } from './work';
import type { QuiltFacts, ZoneFacts } from './zone-facts';

export interface Refusal {
  code: string;
  text: string;
}
/** Limits that may be lifted to see what they exclude. */
export type Relaxed = 'batting' | 'ruler' | 'hand' | 'feature' | null;

const inch = (n: number) => `${Number(n.toFixed(2))} in`;
const RULERS: Readonly<Record<string, readonly string[]>> = {
  'ruler-lines': ['straight'],
  grid: ['straight'],
  'ruler-arcs': ['arc', 'circle', 'template'],
};
const SEAM_ROLES = ['sashing', 'block', 'ground', 'border'];
const FIGURE_ROLES = ['motif', 'block'];

/** The chord of arcs laid along the edges of a compact piece, inches. */
export const chordOf = (z: ZoneFacts): number =>
  z.edgeIn / ((z.traits.includes('points') ? 3 : 4) * z.pieces);

/** Why a technique is not for this zone at all, with its number; null when it may be. */
export function refusalOf(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  m: Motif,
  relaxed: Relaxed = null,
): Refusal | null {
  return m.kind === 'none'
    ? unsewnRefusal(request, q, z, m, relaxed)
    : (workRefusal(request, q, z, m) ??
        toolRefusal(request, z, m, relaxed) ??
        sizeRefusal(request, q, z, m, relaxed));
}

const no = (code: string, text: string): Refusal => ({ code, text });

/** Left open, ditch only or an outline: whether what stays unsewn may. */
function unsewnRefusal(
  { preferences }: MotifsRequest,
  { gapLimitIn: limit }: QuiltFacts,
  z: ZoneFacts,
  m: Motif,
  relaxed: Relaxed,
): Refusal | null {
  if (relaxed !== 'feature' && z.features.includes('full-area'))
    return no('full-area', 'A full area must be quilted down.');
  if (m.id === 'ditch' && !SEAM_ROLES.includes(z.role))
    return no('no-seam', 'There is no seam inside it to follow.');
  if (m.id === 'outline' && !FIGURE_ROLES.includes(z.role))
    return no('no-figure', 'There is no figure in it to go round.');
  if (z.role === 'motif' && preferences?.motifs === 'down')
    return no('school', 'This studio quilts motifs down.');
  if (m.id === 'open' && preferences?.motifs === 'outline')
    return no('school', 'This studio leaves nothing open.');
  const open = m.id === 'outline' ? z.openIn / 2 : z.openIn;
  if (relaxed !== 'batting' && open > limit + 1e-9)
    return no('batting-gap', `It would lie open ${inch(open)} wide; this batting allows ${inch(limit)}.`);
  if (m.narrowIn !== null && z.narrowIn < m.narrowIn)
    return no('too-narrow', `It is ${inch(z.narrowIn)} wide; an outline needs ${inch(m.narrowIn)}.`);
  return null;
}

/** What is only done where it is asked for, or where a machine can. */
function workRefusal(request: MotifsRequest, q: QuiltFacts, z: ZoneFacts, m: Motif): Refusal | null {
  const { machine } = request;
  const wished = z.zone.wish?.includes(m.id) ?? false;
  if (m.id === 'follow-print' && !z.zone.lines) return no('no-lines', 'It has no print or lines to follow.');
  if (m.id === 'couching' && !wished) return no('not-asked', 'Nobody wished for a yarn.');
  if (m.id === 'thread-painting' && !wished) {
    const picture = z.role === 'motif' && ['wall', 'show'].includes(request.quilt.use);
    if (!picture || levelOf(request, m.id) === 'beginner')
      return no('not-asked', 'Thread painting is for pictures that hang, when it is wished for.');
  }
  if (m.id === 'guided-pattern') {
    if (!machine?.guided) return no('not-guided', 'This machine has nothing to follow a pattern with.');
    if (q.depthIn !== null && machine.rowIn !== undefined && machine.rowIn > q.depthIn)
      return no(
        'throat-short',
        `A row of ${inch(machine.rowIn)} is deeper than a pass of ${inch(q.depthIn)}.`,
      );
  }
  return null;
}

/** Rulers that are owned, and where they lie flat. */
function toolRefusal({ machine }: MotifsRequest, z: ZoneFacts, m: Motif, relaxed: Relaxed): Refusal | null {
  const ruler = RULERS[m.id];
  if (ruler && relaxed !== 'ruler') {
    if (machine?.rulers && !ruler.some((r) => machine.rulers!.includes(r)))
      return no('no-ruler', `It asks for a ruler: ${ruler.join(', ')}.`);
    if (machine?.feet && !machine.feet.some((f) => f === 'ruler' || f === 'closed'))
      return no('no-ruler', 'No ruler foot or closed foot: no ruler is moved.');
  }
  if (relaxed !== 'feature' && techniques.get(m.id).rulerMoves && z.features.includes('raised-applique'))
    return no('raised-ruler', 'A ruler does not lie flat over raised appliqué.');
  return null;
}

/** Spacings this hand keeps, the batting allows and the zone has room for. */
function sizeRefusal(
  request: MotifsRequest,
  { gapLimitIn: limit }: QuiltFacts,
  z: ZoneFacts,
  m: Motif,
  relaxed: Relaxed,
): Refusal | null {
  const hand = HAND[levelOf(request, m.id)];
  if (relaxed !== 'hand' && m.g![1] < hand.leastIn)
    return no(
      'hand-coarse',
      `It is at most ${inch(m.g![1])} apart; this hand keeps ${inch(hand.leastIn)} at least.`,
    );
  const least = relaxed === 'hand' ? m.g![0] : leastSpacing(request, m);
  if (relaxed !== 'batting' && least > limit + 1e-9)
    return no('batting-gap', `It is at least ${inch(least)} apart; this batting allows ${inch(limit)}.`);
  if (m.id === 'ruler-arcs' && z.shape === 'compact') {
    const chord = chordOf(z);
    return chord < m.g![0]
      ? no('too-narrow', `Arcs along its edges would be ${inch(chord)} long; ${inch(m.g![0])} is the least.`)
      : null;
  }
  if (z.narrowIn < m.k * least - 1e-9)
    return no('too-narrow', `It is ${inch(z.narrowIn)} wide; this needs ${inch(m.k * least)}.`);
  if (z.shape === 'compact' && z.openIn < 2 * least - 1e-9)
    return no('too-narrow', `Its pieces are ${inch(z.openIn)} across; this needs ${inch(2 * least)}.`);
  return null;
}
