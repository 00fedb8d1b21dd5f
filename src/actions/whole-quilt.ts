import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray } from 'class-validator';
import type { WholeQuiltRequest } from '@/core/match/whole-quilt';
import { lockQuilt } from '@/data/quilts';
import type { Machine } from '@/data/types';
import type { Context } from './context';
import { type MatchSources, sharedRequest, zoneWishes } from './match-sources';
import type { QuiltView } from './quilt-view';
import { done, refuse, type Result } from './result';
import { EachOf, FormKey, Id, QuiltId, Version } from './rules';
import { save } from './save';
import { readCardSources, writeCard } from './setups';
import { zoneForCore } from './zone-brief';

/** A quilt with all its zones as the core weighs them together; a zone that was tested keeps its card. */
export function wholeRequest(view: QuiltView, machine: Machine, sources: MatchSources): WholeQuiltRequest {
  const { quilt, zones, setups, states, shelf } = view;
  // What is left open takes no thread.
  const sewn = zones.filter((z) => states.get(z.id) !== 'left open');
  if (sewn.length === 0) throw new Error('A quilt without zones has nothing to match.');
  return {
    ...sharedRequest(quilt, machine, shelf, sources),
    zones: sewn.map((z) => {
      const s = setups.get(z.id);
      const tested = states.get(z.id) === 'proven' || states.get(z.id) === 'testing';
      return {
        id: z.id,
        zone: zoneForCore(z, quilt),
        ...zoneWishes(z),
        keep: s && tested ? { topId: s.topId, bobbinId: s.bobbinId } : undefined,
      };
    }),
  };
}

class ZoneCard {
  @Id('Pick a zone first.') zoneId!: string;
  @Id('Pick a top thread.') topId!: string;
  @Id('Pick a bobbin thread.') bobbinId!: string;
  @Version() seenVersion!: number;
}

export class ChooseWhole {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @IsArray({ message: 'The set-ups could not be read.' })
  @ArrayMinSize(1, { message: 'Every zone keeps its card: there is nothing to choose.' })
  @ArrayMaxSize(200, { message: 'That is more zones than a quilt has.' })
  @EachOf(() => ZoneCard)
  cards!: ZoneCard[];
}

/** Writes the setting cards of several zones at once: all of them, or none when one was changed meanwhile. */
export const chooseWhole = (context: Context, input: unknown): Promise<Result<{ cards: number }>> =>
  save<ChooseWhole, { cards: number }>(context, 'choose-whole', ChooseWhole, input, async (tx, form) => {
    await lockQuilt(tx, form.quiltId);
    const from = await readCardSources(tx, form.quiltId, context.actor.id);
    if (!from) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
    for (const [i, card] of form.cards.entries()) {
      const written = await writeCard(tx, from, card);
      // Half a quilt of new cards would be worse than none: what was written before goes with the refusal.
      if (!written.ok)
        return { ...written, problems: written.problems.map((p) => ({ ...p, path: `cards.${i}` })) };
    }
    return done({ cards: form.cards.length });
  });
