import 'reflect-metadata';
import { ArrayMaxSize, ArrayUnique, IsArray, IsIn, IsObject } from 'class-validator';
import { type Diagnosis, diagnose, type FaultEvidence } from '@/core/faults/diagnose';
import { causes, checks } from '@/core/faults/knowledge';
import { signs, symptoms } from '@/core/tables/symptoms';
import { readEvidence, readRemedies, writeEvidence } from '@/data/fault-evidence';
import { readFault, replaceSymptoms, setFaultState } from '@/data/faults';
import type { Sql } from '@/data/sql';
import type { Fault, FaultRecordOf } from '@/data/types';
import type { Context } from './context';
import { faultSetup } from './fault-setup';
import { keptCauses } from './kept-causes';
import type { QuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { EachOf, EachText, FormKey, Id, Maybe, Num, OneOf, Text, Version, Words, Yes } from './rules';
import { save } from './save';

export interface FaultBench {
  fault: Fault;
  evidence: FaultRecordOf;
  /** What is known of the set-up from the log, as the knowledge names it. */
  setup: Fault['known'];
  diagnosis: Diagnosis;
  remedies: { remedy: string; tried: number; helped: number }[];
  /** Confirmed episodes of the studio's own that the figures rest on besides those shipped. */
  episodes: number;
}

/** Everything the bench of one fault shows; null when there is no such fault on this quilt. */
export async function readFaultBench(sql: Sql, view: QuiltView, faultId: string): Promise<FaultBench | null> {
  const fault = view.faults.find((f) => f.id === faultId);
  if (!fault) return null;
  const [evidence, causesOf, remedies, setup] = await Promise.all([
    readEvidence(sql, fault.id),
    keptCauses(sql),
    readRemedies(sql, fault.symptoms),
    // What stood there when it was noted; a fault of before that was kept: as it is now.
    Object.keys(fault.known).length > 0 ? fault.known : faultSetup(sql, view, fault.zoneId),
  ]);
  const asked: FaultEvidence = {
    seen: fault.symptoms.filter((s) => symptoms.find(s)),
    absent: evidence.absent,
    facts: evidence.facts,
    done: evidence.done,
    setup,
  };
  return {
    fault,
    evidence,
    setup,
    diagnosis: diagnose(asked, causesOf.book),
    remedies,
    episodes: causesOf.episodes,
  };
}

class Made {
  @OneOf(checks.ids, 'This check is not known.') check!: string;
  @Words(60, 'Say what the check told.') outcome!: string;
}

/** What is answered of a fault so far. */
export class AnswerFault {
  @FormKey() key!: string;
  @Id('This fault is not known. Reload the page.') faultId!: string;
  @Version() version!: number;
  @IsArray({ message: 'Say what was seen.' })
  @ArrayMaxSize(10, { message: 'Pick at most ten.' })
  @ArrayUnique({ message: 'The same sign is picked twice.' })
  @IsIn(signs.ids, { each: true, message: 'Pick from the list of what can be seen.' })
  seen!: string[];
  @IsArray({ message: 'Say what is not there.' })
  @ArrayMaxSize(60, { message: 'That is more than there is.' })
  @EachText(60)
  absent!: string[];
  @IsObject({ message: 'The answers could not be read.' })
  facts!: Record<string, string>;
  @IsArray({ message: 'The checks could not be read.' })
  @ArrayMaxSize(60, { message: 'That is more checks than there are.' })
  @EachOf(() => Made)
  done!: Made[];
}

const FIRST = 'Someone else answered here meanwhile. Reload to see it, then go on.';
const GONE = 'This fault is not known. Reload the page.';

export const answerFault = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<AnswerFault, { id: string }>(context, 'answer-fault', AnswerFault, input, async (tx, form) => {
    const fault = await readFault(tx, form.faultId);
    if (!fault) return refuse(GONE, 'faultId');
    const { absent, facts, seen } = form;
    if (seen.length === 0) return refuse('Say what was seen: pick at least one.', 'seen');
    const asked = form.done.map(({ check, outcome }) => ({ check, outcome }));
    // Refused in words when answers contradict each other or are not known.
    diagnose({ seen: seen.filter((s) => symptoms.find(s)), absent, facts, done: asked });
    const now = await readEvidence(tx, fault.id);
    if (now.closedAt) return conflict('This fault is closed already. Reload to see what it was.');
    if (!(await writeEvidence(tx, fault.id, form.version, { ...now, absent, facts, done: asked })))
      return conflict(FIRST);
    await replaceSymptoms(tx, fault.id, seen);
    return done({ id: fault.id });
  });

/** What a fault was found to be, and what helped. */
export class CloseFault {
  @FormKey() key!: string;
  @Id('This fault is not known. Reload the page.') faultId!: string;
  @Version() version!: number;
  @Maybe() @OneOf(causes.ids, 'This cause is not known.') cause?: string | null;
  /** In the studio's own words, when it is none of those. */
  @Text(200) ownCause!: string;
  @Text(300) remedy!: string;
  @Maybe() @Yes() helped?: boolean | null;
  @Maybe() @Num(0, 2000, 'Minutes lost') minutesLost?: number | null;
  /** False: its stitches are still to be mended. */
  @Maybe() @Yes() mended?: boolean | null;
}

export const closeFault = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<CloseFault, { id: string }>(context, 'close-fault', CloseFault, input, async (tx, form) => {
    const fault = await readFault(tx, form.faultId);
    if (!fault) return refuse(GONE, 'faultId');
    const ownCause = form.ownCause.trim();
    if (!form.cause && !ownCause)
      return refuse('Say what it was: a cause of the list, or in your own words.', 'ownCause');
    const now = await readEvidence(tx, fault.id);
    if (now.closedAt) return conflict('This fault is closed already. Reload to see what it was.');
    const kept = await writeEvidence(tx, fault.id, form.version, {
      ...now,
      cause: form.cause ?? null,
      ownCause,
      remedy: form.remedy.trim(),
      helped: form.helped ?? null,
      minutesLost: form.minutesLost ?? null,
      closedAt: context.now,
    });
    if (!kept) return conflict(FIRST);
    if (form.mended !== false) await setFaultState(tx, fault.id, 'mended');
    return done({ id: fault.id });
  });

/** Opens a closed fault again, or leaves its episode out of what is learned, or puts it back. */
export class ReopenFault {
  @FormKey() key!: string;
  @Id('This fault is not known. Reload the page.') faultId!: string;
  @Version() version!: number;
  @OneOf(['open', 'leave out', 'take in'], 'Say what to do with it.') act!: 'open' | 'leave out' | 'take in';
}

export const reopenFault = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<ReopenFault, { id: string }>(context, 'reopen-fault', ReopenFault, input, async (tx, form) => {
    const now = await readEvidence(tx, form.faultId);
    const next =
      form.act === 'open'
        ? { ...now, cause: null, closedAt: null, helped: null }
        : { ...now, leftOut: form.act === 'leave out' };
    if (!(await writeEvidence(tx, form.faultId, form.version, next))) return conflict(FIRST);
    if (form.act === 'open') await setFaultState(tx, form.faultId, 'open');
    return done({ id: form.faultId });
  });
