import { clamp } from '../units/clamp';
import { techniques } from '../tables/techniques';
import { chordOf, type Relaxed } from './gates';
import type { Motif } from './motif-table';
import type { MotifsRequest } from './request';
import { leastSpacing } from './work';
import type { QuiltFacts, ZoneFacts } from './zone-facts';

/** Line density wished for, by softness, in/in². */
const WISHED = { soft: 0.8, usual: 1.6, firm: 3.5 } as const;
/** A print is loud from here. */
export const LOUD = 2;

/** The line density a zone asks for, in/in². */
export function wishedDensity(z: ZoneFacts): number {
  const dense = z.relief === 'flat' || z.features.includes('full-area') || z.besideRaised;
  const quiet = z.visibility === 'sink' || z.busy >= LOUD;
  return (
    WISHED[z.softness] *
    clamp((5 / z.openIn) ** 0.25, 0.5, 1.4) *
    (dense ? 1.5 : 1) *
    (z.relief === 'raised' ? 0.6 : 1) *
    (z.features.includes('knots') ? 0.5 : 1) *
    (quiet ? 0.8 : 1)
  );
}

/** What a ruler shows: to the eighth, below an inch to the sixteenth; the finest as they are. */
const onRuler = (g: number) =>
  g < 0.1 ? Math.round(g * 100) / 100 : g < 1 ? Math.round(g * 16) / 16 : Math.round(g * 8) / 8;
const STEPS = [0.65, 1, 1.25, 1.5, 2.2];

/** Spacings worth trying for a technique in a zone, finest first; [null] where it has none; none where none is possible. */
export function spacingsOf(
  request: MotifsRequest,
  q: QuiltFacts,
  z: ZoneFacts,
  m: Motif,
  relaxed: Relaxed = null,
): (number | null)[] {
  if (!m.g) return [null];
  if (m.id === 'ruler-arcs' && z.shape === 'compact')
    return [onRuler(Math.min(chordOf(z), m.g[1], relaxed === 'batting' ? Infinity : q.gapLimitIn * 2))];
  const { density } = techniques.get(m.id);
  const k = m.id === 'web' ? 2 : density.kind === 'spacing' ? density.k : 1;
  const least = relaxed === 'hand' ? m.g[0] : leastSpacing(request, m);
  const most = Math.min(
    m.g[1],
    relaxed === 'batting' ? Infinity : q.gapLimitIn,
    m.k > 0 ? z.narrowIn / m.k : Infinity,
    z.shape === 'compact' ? z.openIn / 2 : Infinity,
  );
  if (least > most + 1e-9) return [];
  const wanted = (k * m.feel) / wishedDensity(z);
  const tried = [...STEPS.map((s) => wanted * s), z.openIn / 2.2, z.openIn / 3.2, least, most];
  const kept = tried
    .map((g) => onRuler(clamp(g, least, most)))
    .map((g) => (g > most ? most : g < least ? least : g));
  return [...new Set(kept)].sort((a, b) => a - b);
}
