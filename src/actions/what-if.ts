import 'reflect-metadata';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import { type WhatIf, whatWouldHaveToBeTrue } from '@/core/match/what-if';
import { shiftsInWords } from '@/core/match/shift-words';
import { readMachine } from '@/data/machines';
import type { Context } from './context';
import { withLearned } from './searches';
import { readOwnMatchSources, zoneRequest } from './match-sources';
import { readQuiltView } from './quilt-view';
import { done, refuse, type Result } from './result';
import { Id, Maybe, Num, OneOf, QuiltId } from './rules';
import { inWords } from './save';
import { check } from './validate';
import { coneName } from './zone-brief';

export class AskWhatIf {
  @QuiltId() quiltId!: string;
  @Id('Pick a zone first.') zoneId!: string;
  @Id('Pick the thread you would like to sew with.') topId!: string;
  /** Parts held meanwhile. */
  @Maybe() @Id('There is no such bobbin thread.') holdBobbinId?: string | null;
  @Maybe()
  @OneOf(NEEDLE_SIZES.map((s) => s.nm), 'There is no such needle.')
  holdNm?: number | null;
  @Maybe() @Num(1, 40, 'The stitch length held') holdSpi?: number | null;
}

export interface WhatIfAnswer extends Omit<WhatIf, 'ahead'> {
  thread: string;
  /** What the best has over it, in words. */
  over: string;
  /** The threads that stand before it, by name. */
  ahead: string[];
}

/** What would have to be true for a thread to be best in a zone. Reads only. */
export async function askWhatIf(context: Context, input: unknown): Promise<Result<WhatIfAnswer>> {
  const checked = await check(AskWhatIf, input);
  if (!checked.ok) return checked;
  const { quiltId, zoneId, topId, holdBobbinId, holdNm, holdSpi } = checked.value;
  const [view, sources] = await Promise.all([
    readQuiltView(context.sql, quiltId),
    readOwnMatchSources(context.sql, context.actor.id),
  ]);
  const zone = view?.zones.find((z) => z.id === zoneId);
  if (!view || !zone) return refuse('This zone is no longer on the quilt. Reload the page.', 'zoneId');
  const machine = await readMachine(context.sql, view.quilt.machineId);
  const names = new Map(view.shelf.map((c) => [c.id, coneName(c)]));
  const request = {
    ...withLearned(zoneRequest(view, zone, machine, sources), sources.tension, view.quilt),
    hold: { bobbinId: holdBobbinId ?? undefined, nm: holdNm ?? undefined, spi: holdSpi ?? undefined },
  };
  try {
    const told = whatWouldHaveToBeTrue(request, topId);
    return done({
      ...told,
      thread: names.get(topId) ?? '',
      over: shiftsInWords(told.shifts),
      ahead: told.ahead.map((id) => names.get(id) ?? id),
    });
  } catch (error) {
    return inWords(error, {});
  }
}
