import { features } from '../tables/features';
import { techniques } from '../tables/techniques';

/** Something in a zone that the needle must be told of: a mark on the map, and a sentence when its zone comes up. */
export interface WatchFor {
  code: string;
  /** What stands at the mark. */
  label: string;
  text: string;
}

interface WatchedZone {
  technique: string;
  features: readonly string[];
  fabrics: readonly { name: string; sewnOver: boolean }[];
}

/**
 * What to watch for in a zone: what is in it (a pocket, vinyl, beads, bulky or open seams …), fabrics that are quilted
 * around, and a ditch over a seam that was pressed open. The same words on map, Stand, card and loading sheet.
 */
export function watchFor(zone: WatchedZone): WatchFor[] {
  const t = techniques.get(zone.technique);
  const around = zone.fabrics.filter((f) => !f.sewnOver).map((f) => f.name);
  return [
    ...zone.features.map((id): WatchFor => {
      const f = features.get(id);
      return { code: id, label: f.mark, text: f.advice };
    }),
    ...(around.length > 0
      ? [{ code: 'quilt-around', label: 'around', text: `Quilt around ${around.join(' and ')}.` }]
      : []),
    ...(t.stabilises === 'ditch' && zone.features.includes('open-seam-pressed')
      ? [{ code: 'ditch-on-open-seam', label: 'beside', text: 'Sew ¼ in beside the seam, not in the ditch.' }]
      : []),
  ];
}

/** The same for a card or a sheet, in one line; nothing where there is nothing to watch for. */
export const watchWords = (list: readonly WatchFor[]): string =>
  list.map((w) => w.text.replace(/\.$/, '')).join(' · ');
