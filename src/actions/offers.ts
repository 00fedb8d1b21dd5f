import 'reflect-metadata';
import { ArrayMaxSize, IsArray } from 'class-validator';
import { format } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import {
  OFFER,
  type OfferFields,
  RATES,
  type RatesFields,
  SUPPLIED,
  type SuppliedFields,
} from '@/core/fields/offer';
import { stored } from '@/core/fields/stored';
import { minutesOfSteps } from '@/core/hours/sum';
import { predictedMin } from '@/core/hours/step';
import { cameToByKind, workByKind } from '@/core/quote/kinds';
import { offerOf, type OfferRequest } from '@/core/quote/offer';
import type { Range } from '@/core/statistics/log-normal';
import { insertOffer, readOffersSewn, readRates, setOfferState, updateRates } from '@/data/offers';
import { readPreferences } from '@/data/preferences';
import { lockQuilt } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import type { Rates } from '@/data/types';
import type { Context } from './context';
import { readPlan } from './plan';
import { type QuiltView, readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { readTaskFactors, taskSize } from './tasks';
import { asForm, EachOf, Fields, FormKey, Id, OneOf, QuiltId, Version } from './rules';
import { MEANWHILE, save } from './save';

/** Agreed offers on quilts that are home that a studio learns from. */
const MOST_SEWN = 200;

@Fields(RATES)
export class KeepRates {
  @FormKey() key!: string;
  @Version() version!: number;
}
type RatesForm = KeepRates & RatesFields;

export const keepRates = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<RatesForm, { version: number }>(
    context,
    'keep-rates',
    asForm<RatesForm>(KeepRates),
    input,
    async (tx, form) =>
      (await updateRates(tx, stored(RATES, form), form.version))
        ? done({ version: form.version + 1 })
        : conflict(MEANWHILE),
  );

/** Everything of a quilt that its offer is reckoned from. */
export type OfferSources = Pick<OfferRequest, 'work' | 'frameHours' | 'size' | 'bobbins' | 'taskFactors'>;

const inHours = ({ low, mid, high }: Range): Range => ({ low: low / 60, mid: mid / 60, high: high / 60 });

/** What a quilt's plan says of its offer: the quilting by kind, its frame, its size, its bobbins. All of it, sewn or not. */
export async function readOfferSources(sql: Sql, view: QuiltView): Promise<OfferSources> {
  const { plan, request, belief, left, steps } = await readPlan(sql, {
    ...view,
    quilt: { ...view.quilt, sewn: [], step: 'quilt', onFrameSince: null },
  });
  const zones = request.zones.map((z, i) => ({
    technique: z.technique,
    areaIn2: plan.zones[i]!.areaIn2,
    minutes: predictedMin({ parts: [plan.zones[i]!.work] }),
  }));
  const all = minutesOfSteps(left, belief);
  const quilting = zones.reduce((s, z) => s + z.minutes, 0);
  const predicted = left.reduce((s, step) => s + predictedMin(step), 0);
  const share = predicted > 0 ? Math.min(1, quilting / predicted) : 0;
  const part = (k: number): Range => inHours({ low: all.low * k, mid: all.mid * k, high: all.high * k });
  const factors = await readTaskFactors(sql);
  return {
    work: workByKind(zones, part(share)),
    frameHours: part(1 - share),
    size: taskSize(view.quilt),
    taskFactors: [...factors],
    bobbins: steps.length > 0 ? plan.threads.reduce((n, t) => n + t.bobbins, 0) : 0,
  };
}

@Fields(SUPPLIED)
class Supplied {}

@Fields(OFFER)
export class MakeOffer {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @IsArray({ message: 'What is supplied could not be read.' })
  @ArrayMaxSize(30, { message: 'At most thirty things.' })
  @EachOf(() => Supplied)
  supplied!: SuppliedFields[];
}
type OfferForm = MakeOffer & OfferFields;

/** The request of an offer from what was asked and what the quilt says. */
export const offerRequest = (
  sources: OfferSources,
  rates: Rates,
  asked: Pick<OfferFields, 'basis' | 'tasks' | 'isRush' | 'taxPct'> & { supplied: readonly SuppliedFields[] },
): OfferRequest => ({
  ...sources,
  rates,
  basis: asked.basis,
  tasks: asked.tasks,
  isRush: asked.isRush,
  taxPct: asked.taxPct,
  supplied: asked.supplied,
});

/** Keeps an offer with its quilt as it is reckoned now; it takes the place of the one before. */
export const makeOffer = (context: Context, input: unknown): Promise<Result<{ n: number }>> =>
  save<OfferForm, { n: number }>(
    context,
    'make-offer',
    asForm<OfferForm>(MakeOffer),
    input,
    async (tx, form) => {
      await lockQuilt(tx, form.quiltId);
      const [view, rates, preferences] = await Promise.all([
        readQuiltView(tx, form.quiltId, 'its cards'),
        readRates(tx),
        readPreferences(tx),
      ]);
      if (!view || !preferences) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
      const sources = await readOfferSources(tx, view);
      const supplied = form.supplied.map((s) => stored(SUPPLIED, s));
      const reckoned = {
        ...offerOf(offerRequest(sources, rates, { ...form, supplied })),
        work: sources.work,
      };
      const n = await insertOffer(tx, {
        ...stored(OFFER, form),
        id: uuidv7(),
        quiltId: view.quilt.id,
        currency: preferences.currency,
        supplied,
        reckoned,
        madeOn: format(context.now, 'yyyy-MM-dd'),
      });
      return done({ n });
    },
  );

export class SetOffer {
  @FormKey() key!: string;
  @Id('This offer is not known. Reload the page.') id!: string;
  @Version() version!: number;
  @OneOf(['agreed', 'offered', 'withdrawn'], 'Agreed, offered again, or withdrawn.')
  state!: 'agreed' | 'offered' | 'withdrawn';
}

/** Says that a client agreed to an offer, or takes that back, or the offer. */
export const setOffer = (context: Context, input: unknown): Promise<Result<{ state: string }>> =>
  save<SetOffer, { state: string }>(context, 'set-offer', SetOffer, input, async (tx, form) =>
    (await setOfferState(
      tx,
      form.id,
      form.version,
      form.state,
      form.state === 'agreed' ? format(context.now, 'yyyy-MM-dd') : null,
    ))
      ? done({ state: form.state })
      : conflict(MEANWHILE),
  );

/** Which kinds of work took longer than was offered, over the quilts that are home. */
export async function readKindsCameTo(sql: Sql) {
  const { offered, steps } = await readOffersSewn(sql, MOST_SEWN);
  return cameToByKind(offered, steps);
}
