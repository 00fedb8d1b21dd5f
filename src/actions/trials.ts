import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { CURE_OUTCOMES, type CureKind, type CureOutcome, CURES } from '@/core/fields/lists';
import { MEASURED, type MeasuredStitches } from '@/core/fields/measured';
import { stored } from '@/core/fields/stored';
import { amendRound, insertCure, insertTrial, knowsCones, updateTrial } from '@/data/trials';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { EachId, Fields, FormKey, PartOf, Id, Maybe, OneOf, Text, Version } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

@Fields(MEASURED)
class Measured {}

/** What is added to a test stitch after it was judged. */
export class AmendRound {
  @FormKey() key!: string;
  @Id('This test is not known. Reload the page.') roundId!: string;
  @Maybe() @Text(1000) note?: string;
  @Maybe() @Id('This photograph is not known.') photographId?: string;
  @Maybe() @PartOf(() => Measured) measured?: MeasuredStitches;
}

const PHOTOGRAPH: Meanings = {
  test_round_photograph_id_fkey: ['photographId', 'This photograph is not here any more.'],
  colour_trial_photograph_id_fkey: ['photographId', 'This photograph is not here any more.'],
};

export const amend = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<AmendRound, { id: string }>(
    context,
    'amend-round',
    AmendRound,
    input,
    async (tx, { roundId, note, photographId, measured }) => {
      const kept = measured && stored(MEASURED, measured);
      return (await amendRound(tx, roundId, { note: note?.trim(), photographId, measured: kept }))
        ? done({ id: roundId })
        : refuse('This test is not known. Reload the page.', 'roundId');
    },
    PHOTOGRAPH,
  );

export class TryCure {
  @FormKey() key!: string;
  @Id('Choose a set-up on Match first.') setupId!: string;
  @OneOf(CURES, 'Say what was tried.') kind!: CureKind;
  @OneOf(CURE_OUTCOMES, 'Say what came of it.') outcome!: CureOutcome;
}

export const tryCure = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<TryCure, { id: string }>(
    context,
    'try-cure',
    TryCure,
    input,
    async (tx, { setupId, kind, outcome }) => {
      const id = uuidv7();
      await insertCure(tx, { id, setupId, kind, outcome });
      return done({ id });
    },
    { cure_setup_id_fkey: ['setupId', 'This set-up is not known. Reload the page.'] },
  );

export class BeginTrial {
  @FormKey() key!: string;
  @Id('Pick a zone first.') zoneId!: string;
  @IsArray({ message: 'Pick two to four threads.' })
  @ArrayMinSize(2, { message: 'Pick two threads at least.' })
  @ArrayMaxSize(4, { message: 'Four threads at most lie side by side.' })
  @ArrayUnique({ message: 'A thread is picked twice.' })
  @EachId('This thread is not known.')
  coneIds!: string[];
  @Maybe() @Text(1000) note?: string;
}

export const beginTrial = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<BeginTrial, { id: string }>(
    context,
    'begin-trial',
    BeginTrial,
    input,
    async (tx, { zoneId, coneIds, note }) => {
      if (!(await knowsCones(tx, coneIds)))
        return refuse('A thread is not on the shelf any more.', 'coneIds');
      const id = uuidv7();
      await insertTrial(tx, { id, zoneId, coneIds, note: note?.trim() ?? '' });
      return done({ id });
    },
    { colour_trial_zone_id_fkey: ['zoneId', 'This zone is no longer on the quilt.'] },
  );

export class EndTrial {
  @FormKey() key!: string;
  @Id('This trial is not known. Reload the page.') id!: string;
  @Version() version!: number;
  @Maybe() @Id('Pick one of the threads.') chosenId?: string | null;
  @Maybe() @Id('This photograph is not known.') photographId?: string | null;
  @Text(1000) note!: string;
}

export const endTrial = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<EndTrial, { id: string }>(
    context,
    'end-trial',
    EndTrial,
    input,
    async (tx, { id, version, chosenId, photographId, note }) =>
      (await updateTrial(tx, {
        id,
        version,
        chosenId: chosenId ?? null,
        photographId: photographId ?? null,
        note: note.trim(),
      }))
        ? done({ id })
        : conflict(MEANWHILE),
    { ...PHOTOGRAPH, colour_trial_check: ['chosenId', 'Pick one of the threads that were sewn.'] },
  );
