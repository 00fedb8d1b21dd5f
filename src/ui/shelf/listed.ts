import { coneName } from '@/actions/zone-brief';
import { type KeptShelf, onceFor } from '@/actions/kept-shelf';
import { threadsOf } from '@/actions/match-sources';
import { diameterMm } from '@/core/thread/thread';
import type { Cone } from '@/data/types';
import type { Listed } from '@/ui/kit/use-rest';
import type { ColourCone } from '@/ui/colours/RankTable';
import { pack } from '@/ui/kit/pack';
import { packNames } from '@/ui/match/thread-names';
import { packCones } from './packed';

/** Up to so many cones come with the page; of a larger shelf the others come after it. */
const AT_ONCE = 120;

const names = (cones: readonly Cone[]) =>
  packNames(cones.map((c) => ({ id: c.id, name: coneName(c), role: c.role })));

const coloured = (cones: readonly Cone[]) =>
  cones
    .filter((c) => c.role !== 'bobbin' && c.hex !== null)
    .map((c): ColourCone => ({ id: c.id, name: coneName(c), hex: c.hex!, mm: diameterMm(c) }));

/** What a browser asks for after the page: all of each cone, its name, what a match weighs of it, or its colour. */
export const SHELF_TEXTS = {
  cones: onceFor((shelf: KeptShelf) => packCones(shelf.all)),
  names: onceFor((shelf: KeptShelf) => names(shelf.inUse)),
  threads: onceFor((shelf: KeptShelf) => pack(threadsOf(shelf.inUse))),
  colours: onceFor((shelf: KeptShelf) => pack(coloured(shelf.inUse))),
};
export type ShelfText = keyof typeof SHELF_TEXTS;

const restOf = (what: ShelfText, shelf: KeptShelf) => `/shelf/text?of=${what}&mark=${shelf.mark}`;

/** The shelf's cones for its own page. */
export const listedCones = onceFor((shelf: KeptShelf): Listed => {
  const count = shelf.all.length;
  return count <= AT_ONCE
    ? { count, text: SHELF_TEXTS.cones(shelf) }
    : { count, text: packCones(shelf.inUse.slice(0, AT_ONCE)), rest: restOf('cones', shelf) };
});

/** The names of the threads in use, to choose from; those already chosen come with the page. */
export function listedNames(shelf: KeptShelf, chosen: readonly (string | undefined)[]): Listed {
  const count = shelf.inUse.length;
  return count <= AT_ONCE
    ? { count, text: SHELF_TEXTS.names(shelf) }
    : { count, text: names(shelf.inUse.filter((c) => chosen.includes(c.id))), rest: restOf('names', shelf) };
}

/** All threads in use as a match weighs them, or all colours: with the page when they are few, else after it. */
export const listedWhole = (of: 'threads' | 'colours', shelf: KeptShelf): Listed => {
  const count = shelf.inUse.length;
  return count <= AT_ONCE
    ? { count, text: SHELF_TEXTS[of](shelf) }
    : { count, text: pack([]), rest: restOf(of, shelf) };
};
