import { spacingFor } from '../density/spacing-for';
import type { MultiPolygon } from '../geometry/polygon';
import { seamsOf } from '../geometry/neighbours';
import { techniques } from '../tables/techniques';
import { motifs } from './motifs';
import type { MotifsRequest } from './request';
import { guessRole, shapeNumbers } from './zone-shape';

/** A zone of a layout that is just taken in. */
export interface NewZone {
  name: string;
  geometry: MultiPolygon;
}

/** What is known at the counter of the quilt, its fabrics and the machine. */
export interface NewQuilt {
  quilt: MotifsRequest['quilt'];
  top: readonly { fabric: string; busyness?: number; share?: number }[];
  features: readonly string[];
  visibility: 'sink' | 'texture' | 'show';
  machine?: MotifsRequest['machine'];
  preferences?: MotifsRequest['preferences'];
  past?: MotifsRequest['past'];
}

/** What a zone begins with where nothing better is proposed. */
const PLAIN = 'meander-medium';

/**
 * A first proposal for a quilt at the counter: a technique with its spacing for every zone, a few coherent ones, so that
 * hours, offer and day rest on something a quilter would sew. The same layout gives the same proposal.
 */
export function firstWork(
  zones: readonly NewZone[],
  known: NewQuilt,
): { technique: string; spacingIn: number }[] {
  const named = zones.map((z, i) => ({ id: String(i), geometry: z.geometry }));
  const { proposals } = motifs({
    quilt: known.quilt,
    zones: zones.map((z, i) => ({
      id: String(i),
      role: guessRole(z.name, zones.length),
      ...shapeNumbers(z.geometry),
      top: known.top.map((t) => ({ ...t })),
      features: [...known.features],
      visibility: known.visibility,
    })),
    neighbours: seamsOf(named).map(({ a, b, lengthIn }) => ({ a, b, seamIn: lengthIn })),
    machine: known.machine,
    preferences: known.preferences,
    past: known.past,
    proposals: 1,
  });
  return zones.map((z, i) => {
    const pick = proposals[0]?.zones.find((p) => p.id === String(i));
    const t = techniques.get(pick?.technique ?? PLAIN);
    return { technique: t.id, spacingIn: pick?.spacingIn ?? spacingFor(t, z.geometry) };
  });
}
