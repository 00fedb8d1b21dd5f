import 'reflect-metadata';
import { IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import type { MatchRequest } from '@/core/match/request';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import { match } from '@/core/match/match';
import type { Setup } from '@/core/match/setup';
import { advanceStep } from '@/data/quilts';
import { insertSetup, readSetup } from '@/data/setups';
import type { Sql } from '@/data/sql';
import { readMachine } from '@/data/machines';
import { lockZone } from '@/data/zones';
import type { Machine } from '@/data/types';
import type { Context } from './context';
import { type MatchSources, onlyPair, readOwnMatchSources, zoneRequest } from './match-sources';
import { type QuiltView, readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, QuiltId } from './rules';
import { save } from './save';
import { withLearned } from './searches';

/** The choice of a set-up: which pair of threads; everything else is worked out again on the server. */
export class ChooseSetup {
  @FormKey() key!: string;

  @QuiltId() quiltId!: string;

  @Id('Pick a zone first.') zoneId!: string;

  @Id('Pick a top thread.') topId!: string;

  @Id('Pick a bobbin thread.') bobbinId!: string;

  /** Parts that were held when it was chosen. */
  @IsOptional()
  @IsIn(NEEDLE_SIZES.map((s) => s.nm), { message: 'There is no such needle.' })
  holdNm?: number | null;

  @IsOptional()
  @IsNumber(
    { allowNaN: false, allowInfinity: false },
    { message: 'The stitch length held must be a number.' },
  )
  @Min(1, { message: 'The stitch length held must lie between 1 and 40.' })
  @Max(40, { message: 'The stitch length held must lie between 1 and 40.' })
  holdSpi?: number | null;

  /** The version of the card this window showed; 0 when there was none. */
  @IsInt({ message: 'Reload the page; this card’s version is missing.' })
  @Min(0, { message: 'Reload the page; this card’s version is missing.' })
  seenVersion!: number;
}

/** What a quilt's cards are worked out from, read once however many are written. */
export interface CardSources {
  view: QuiltView;
  machine: Machine;
  sources: MatchSources;
}

/** @param personId whose hand it is, where her own speeds are taken. */
export async function readCardSources(
  sql: Sql,
  quiltId: string,
  personId: string,
): Promise<CardSources | null> {
  const view = await readQuiltView(sql, quiltId);
  if (!view) return null;
  const [machine, sources] = await Promise.all([
    readMachine(sql, view.quilt.machineId),
    readOwnMatchSources(sql, personId),
  ]);
  return { view, machine, sources };
}

/** The set-ups the core finds for a zone, of the whole shelf or of one pair of threads; as many as asked for, best first. */
export function setupsForZone(
  { view, machine, sources }: CardSources,
  zoneId: string,
  limit: number,
  pair?: { topId: string; bobbinId: string },
  hold?: MatchRequest['hold'],
) {
  const zone = view.zones.find((z) => z.id === zoneId);
  if (!zone) return null;
  const request = {
    ...withLearned(zoneRequest(view, zone, machine, sources), sources.tension, view.quilt),
    limit,
    hold,
  };
  return match(pair ? onlyPair(request, pair) : request);
}

/** What of a set-up stands on a zone's card, as it is kept. */
export const setupRow = (s: Setup) => ({
  topId: s.topId,
  bobbinId: s.bobbinId,
  needleNm: s.needle.nm,
  needleEye: s.needle.eye,
  needlePoint: s.needle.point,
  foot: s.foot,
  spi: s.spi,
  mode: s.mode,
  idleSpm: s.idleSpm,
  maxInPerS: s.maxInPerS,
  handInPerS: s.handInPerS,
  topGf: s.topGf,
  bobbinGf: s.bobbinGf,
  ratio: s.ratio,
  ratioSd: s.ratioSd,
  ratioModel: s.ratioModel,
});

const MEANWHILE =
  'This card was changed in another window meanwhile. Nothing was overwritten: reload to see it, then choose again.';

interface Card {
  zoneId: string;
  topId: string;
  bobbinId: string;
  seenVersion: number;
  hold?: MatchRequest['hold'];
}

/** Writes the next version of a zone's card, worked out anew; one that stands with the same set-up is kept. */
export async function writeCard(
  tx: Sql,
  from: CardSources,
  { zoneId, topId, bobbinId, seenVersion, hold }: Card,
): Promise<Result<{ setupId: string; version: number }>> {
  const now = await readSetup(tx, zoneId);
  if ((now?.version ?? 0) !== seenVersion) return conflict(MEANWHILE);
  const found = setupsForZone(from, zoneId, 1, { topId, bobbinId }, hold);
  if (!found) return refuse('This zone is no longer on the quilt. Reload the page.', 'zoneId');
  const chosen = found.setups[0];
  if (!chosen)
    return refuse('That pair of threads does not suit this zone, or left the shelf. Pick another.', 'topId');
  if (now && sameCard(now, chosen)) return done({ setupId: now.id, version: now.version });
  const row = { ...setupRow(chosen), id: uuidv7(), zoneId, version: seenVersion + 1 };
  if (!(await insertSetup(tx, row))) return conflict(MEANWHILE);
  await advanceStep(tx, from.view.quilt.id, 'match', ['take-in']);
  return done({ setupId: row.id, version: row.version });
}

/** Writes a zone's setting card. A card that already stands with the same threads is kept, tests and all. */
export const chooseSetup = (
  context: Context,
  input: unknown,
): Promise<Result<{ setupId: string; version: number }>> =>
  save<ChooseSetup, { setupId: string; version: number }>(
    context,
    'choose-setup',
    ChooseSetup,
    input,
    async (tx, form) => {
      await lockZone(tx, form.zoneId);
      const from = await readCardSources(tx, form.quiltId, context.actor.id);
      if (!from) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
      return writeCard(tx, from, {
        ...form,
        hold: { nm: form.holdNm ?? undefined, spi: form.holdSpi ?? undefined },
      });
    },
  );

/** Whether a card says the same; one not tested yet takes what was learned since. */
const sameCard = (
  now: {
    rounds: number;
    ratio: number;
    topId: string;
    bobbinId: string;
    needleNm: number;
    needleEye: string;
    spi: number;
    foot: string;
    mode: string;
  },
  s: Setup,
) =>
  (now.rounds > 0 || Math.abs(now.ratio / s.ratio - 1) < 1e-6) &&
  now.topId === s.topId &&
  now.bobbinId === s.bobbinId &&
  now.needleNm === s.needle.nm &&
  now.needleEye === s.needle.eye &&
  now.spi === s.spi &&
  now.foot === s.foot &&
  now.mode === s.mode;
