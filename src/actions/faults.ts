import 'reflect-metadata';
import { FAULT, FAULT_TOLD, type FaultFields } from '@/core/fields/fault';
import type { KeptOf } from '@/core/fields/field';
import { FAULT_STATES, type FaultState } from '@/core/fields/lists';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsIn, IsInt } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { contains } from '@/core/geometry/polygon';
import { signs } from '@/core/tables/symptoms';
import {
  deleteFault,
  insertFault,
  readFault,
  replaceSymptoms,
  updateFault,
  updateFaultStatus,
} from '@/data/faults';
import type { Context } from './context';
import { faultSetup, knownWords } from './fault-setup';
import { type QuiltView, readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { asForm, Fields, FormKey, Id, Maybe, QuiltId, Text, Version, Yes } from './rules';
import { save } from './save';

/** A stitch fault as it was seen: what, where, and a word. */
@Fields(FAULT)
class SeenFault {
  @FormKey() key!: string;

  @IsArray({ message: 'Say what you saw.' })
  @ArrayMinSize(1, { message: 'Say what you saw: pick at least one.' })
  @ArrayMaxSize(10, { message: 'Pick at most ten.' })
  @ArrayUnique({ message: 'The same sign is picked twice.' })
  @IsIn(signs.ids, { each: true, message: 'Pick from the list of what can be seen.' })
  symptoms!: string[];
}
type Seen = Partial<KeptOf<typeof FAULT>>;

export class LogFault extends SeenFault {
  @QuiltId() quiltId!: string;
}

type Placed = { zoneId: string | null; xIn: number | null; yIn: number | null; pass: number | null };

/** Where a fault is, checked against its quilt. A place on the map names the zone when none was picked. */
function placeOf(view: Pick<QuiltView, 'quilt' | 'zones'>, form: Partial<Placed>): Result<Placed> {
  const { quilt, zones } = view;
  const [x, y] = [form.xIn ?? null, form.yIn ?? null];
  if ((x === null) !== (y === null)) return refuse('Press the place on the quilt map.', 'xIn');
  if (x !== null && y !== null && (x < 0 || y < 0 || x > quilt.widthIn || y > quilt.lengthIn))
    return refuse(
      `That place lies beyond the quilt, which is ${quilt.widthIn} by ${quilt.lengthIn} in.`,
      'xIn',
    );
  if (form.zoneId && !zones.some((z) => z.id === form.zoneId))
    return refuse('That zone is not on this quilt.', 'zoneId');
  if (form.pass && quilt.passes && form.pass > quilt.passes)
    return refuse(`This quilt has ${quilt.passes} passes.`, 'pass');
  const under = x !== null && y !== null ? zones.find((z) => contains(z.geometry, [x, y])) : undefined;
  return done({ zoneId: form.zoneId ?? under?.id ?? null, xIn: x, yIn: y, pass: form.pass ?? null });
}

/** What noting a fault answers: its number, and what the dialog needs to go on with it. */
export interface NotedFault {
  id: string;
  n: number;
  version: number;
  /** What was kept with it of card and log, in words. */
  known: string;
}

/** Stores a fault on a quilt, with what was on the machine there. */
export const logFault = (context: Context, input: unknown): Promise<Result<NotedFault>> =>
  save<LogFault & Seen, NotedFault>(
    context,
    'log-fault',
    asForm<LogFault & Seen>(LogFault),
    input,
    async (tx, form) => {
      const view = await readQuiltView(tx, form.quiltId, 'its cards');
      if (!view) return refuse('This quilt is not known. Go back to the Rack.', 'quiltId');
      const placed = placeOf(view, form);
      if (!placed.ok) return placed;
      const id = uuidv7();
      const n = await insertFault(tx, {
        id,
        quiltId: view.quilt.id,
        ...placed.value,
        direction: form.direction ?? null,
        note: (form.note ?? '').trim(),
        symptoms: form.symptoms,
        known: await faultSetup(tx, view, placed.value.zoneId),
      });
      return done({ id, n, version: 1, known: await knownWords(tx, view, placed.value.zoneId) });
    },
  );

/** What is told of a fault once it is noted. */
@Fields(FAULT_TOLD)
export class TellFault extends SeenFault {
  @Id('This fault is not known. Reload the page.') faultId!: string;
  @Version() version!: number;
  @Yes() harmless!: boolean;
}

type TellForm = TellFault & Partial<FaultFields>;

const GONE = 'This fault is not known. Reload the page.';

/** Adds to a fault what was not said in the first two taps. */
export const tellFault = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<TellForm, { version: number }>(
    context,
    'tell-fault',
    asForm<TellForm>(TellFault),
    input,
    async (tx, form) => {
      const fault = await readFault(tx, form.faultId);
      const view = fault && (await readQuiltView(tx, fault.quiltId, 'its cards'));
      if (!fault || !view) return refuse(GONE, 'faultId');
      const placed = placeOf(view, form);
      if (!placed.ok) return placed;
      const kept = await updateFault(tx, fault.id, form.version, {
        ...placed.value,
        direction: form.direction ?? null,
        note: (form.note ?? '').trim(),
        severity: form.severity ?? null,
        photographId: form.photographId ?? null,
        status: form.harmless ? 'harmless' : fault.status === 'harmless' ? 'open' : fault.status,
      });
      if (!kept) return conflict(CHANGED);
      await replaceSymptoms(tx, fault.id, form.symptoms);
      return done({ version: form.version + 1 });
    },
    { fault_photograph_id_fkey: ['photographId', 'This photograph is not here any more. Add it again.'] },
  );

export class TakeBackFault {
  @FormKey() key!: string;
  @Id('This fault is not known. Reload the page.') faultId!: string;
  @Version() version!: number;
}

/** A fault noted by mistake goes, as long as nobody has added to it. */
export const takeBackFault = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<TakeBackFault, { id: string }>(context, 'take-back-fault', TakeBackFault, input, async (tx, form) => {
    const fault = await readFault(tx, form.faultId);
    if (!fault) return done({ id: form.faultId });
    if (fault.version !== form.version) return conflict(CHANGED);
    await deleteFault(tx, fault.id);
    return done({ id: fault.id });
  });

const CHANGED = 'This fault was changed in another window meanwhile. Reload to see it.';

export class SetFaultStatus {
  @FormKey() key!: string;

  @Id('This fault is not known. Reload the page.') faultId!: string;

  @IsInt({ message: 'Reload the page; the fault’s version is missing.' })
  version!: number;

  @IsIn(FAULT_STATES, { message: 'A fault is open, mended, left or judged harmless.' })
  status!: FaultState;
  /** Why it is left as it is. */
  @Maybe() @Text(300) word?: string | null;
}

/** Marks a fault mended, left with a word, judged harmless, or open again. */
export const setFaultStatus = (context: Context, input: unknown): Promise<Result<{ version: number }>> =>
  save<SetFaultStatus, { version: number }>(
    context,
    'set-fault-status',
    SetFaultStatus,
    input,
    async (tx, { faultId, version, status, word }) => {
      if (status === 'left' && !(word ?? '').trim())
        return refuse('Say in a word why it may stay as it is.', 'word');
      return (await updateFaultStatus(tx, faultId, version, status, (word ?? '').trim()))
        ? done({ version: version + 1 })
        : conflict(CHANGED);
    },
  );
