import type { Machine, Prepared, TestRound, Zone } from '@/data/types';
import type { Scales } from '@/core/machine/scales';
import { readPlan } from '@/actions/plan';
import type { ZoneSettings } from '@/core/log/fold';
import type { ask } from '@/actions/queries';
import type { ZoneMarking } from '@/actions/marking';
import type { HandBackOf } from '@/data/types';
import type { QuiltView } from '@/actions/quilt-view';

/** Everything the sheets of a quilt are printed from. */
export type SheetFacts = {
  machine: Machine;
  view: QuiltView;
  zone: Zone | undefined;
  marking: readonly ZoneMarking[];
  offers: Awaited<ReturnType<(typeof ask)['readOffers']>>;
  rounds: readonly TestRound[];
  hand: HandBackOf;
  prepared: Omit<Prepared, 'version'>;
  scales: Scales;
  settings: ReadonlyMap<string, ZoneSettings>;
} & Awaited<ReturnType<typeof readPlan>>;
