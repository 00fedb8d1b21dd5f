import 'reflect-metadata';
import { format } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import {
  type Changes,
  changedSince,
  changesOf,
  type Laid,
  laidAs,
  scaled,
  valuesOf,
} from '@/core/correction/correction';
import {
  AGREED,
  CLIENT,
  QUILT,
  type AgreedFields,
  type ClientFields,
  type QuiltFields,
} from '@/core/fields/quilt';
import { stored } from '@/core/fields/stored';
import { eighth } from '@/core/plan/measure';
import { readBattings, readFabrics } from '@/data/cloths';
import { readClient, updateClient } from '@/data/clients';
import { insertCorrection, type Moved, readCorrection, setCorrectionUndone } from '@/data/corrections';
import { readMachine } from '@/data/machines';
import {
  clientNamed,
  type Correctable,
  correctQuilt as storeCorrected,
  type LockedPlan,
  lockQuilt,
  putPlan,
  readQuilt,
  setWithdrawn,
} from '@/data/quilts';
import { readSetups } from '@/data/setups';
import type { Sql } from '@/data/sql';
import type { Quilt } from '@/data/types';
import { placeZone, readZones } from '@/data/zones';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { asForm, Fields, FormKey, Id, OneOf, QuiltId, Text, Version, Words, Yes } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

const FIELDS = [...QUILT, ...AGREED];
const LABEL: Readonly<Record<string, string>> = {
  ...Object.fromEntries(FIELDS.map((f) => [f.id, f.label])),
  client: 'Client',
  widthIn: 'Width',
  lengthIn: 'Length',
};
/** What a field is called in a sentence about a change of it. */
export const labelOf = (field: string): string => LABEL[field] ?? field;

/** Whatever was said of a quilt, as it should have been said. */
@Fields(FIELDS)
export class CorrectQuilt {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @Words(120, 'Give the client’s name.') client!: string;
}

export const QUILT_MEANINGS: Meanings = {
  quilt_batting_id_fkey: ['battingId', 'This batting is not known any more.'],
  quilt_backing_id_fkey: ['backingId', 'This backing is not known any more.'],
  quilt_check: ['dueOn', 'It cannot be promised for a day before it came.'],
};

const NOT_KNOWN = 'This quilt is not known. Go back to the Rack.';

/** What may be corrected of a quilt, as it stands. */
export const correctableOf = (quilt: Quilt): Record<string, unknown> =>
  Object.fromEntries([...FIELDS.map((f) => f.id), 'client'].map((k) => [k, quilt[k as keyof Quilt] ?? null]));

type CorrectForm = CorrectQuilt & QuiltFields & AgreedFields;

const trimmed = (form: CorrectForm): Record<string, unknown> =>
  Object.fromEntries(
    [...FIELDS.map((f) => f.id), 'client'].map((k) => {
      const v = form[k as keyof CorrectForm] as unknown;
      return [k, typeof v === 'string' ? v.trim() : (v ?? null)];
    }),
  );

export const correctQuilt = (
  context: Context,
  input: unknown,
): Promise<Result<{ said: string[]; correctionId: string | null }>> =>
  save<CorrectForm, { said: string[]; correctionId: string | null }>(
    context,
    'correct-quilt',
    asForm<CorrectForm>(CorrectQuilt),
    input,
    async (tx, form) => {
      await lockQuilt(tx, form.quiltId);
      const quilt = await readQuilt(tx, form.quiltId);
      if (!quilt) return refuse(NOT_KNOWN, 'quiltId');
      if (quilt.version !== form.version) return conflict(MEANWHILE);
      const changes = changesOf(correctableOf(quilt), trimmed(form));
      if (Object.keys(changes).length === 0) return done({ said: [], correctionId: null });
      const wrong = await problemOf(tx, quilt, form, changes);
      if (wrong) return wrong;
      const moved = await movedBy(tx, quilt, changes);
      const said = await apply(tx, quilt, changes, 'redo', moved);
      if (!said) return conflict(MEANWHILE);
      const id = uuidv7();
      await insertCorrection(tx, { id, quiltId: quilt.id, changed: changes, moved, said, at: context.now });
      return done({ said, correctionId: id });
    },
    QUILT_MEANINGS,
  );

/** Size of a quilt by measures; what it was where they are not given. */
const sizeOf = (quilt: Quilt, values: Record<string, unknown>) => ({
  widthIn: values.widthsIn ? eighth(values.widthsIn as number[]) : quilt.widthIn,
  lengthIn: values.lengthsIn ? eighth(values.lengthsIn as number[]) : quilt.lengthIn,
});

async function problemOf(
  tx: Sql,
  quilt: Quilt,
  form: CorrectForm,
  changes: Changes,
): Promise<Result<never> | null> {
  const { widthIn, lengthIn } = sizeOf(quilt, valuesOf(changes, 'redo'));
  const resized = widthIn !== quilt.widthIn || lengthIn !== quilt.lengthIn;
  if (resized && quilt.sewn.length > 0)
    return refuse(
      'Part of it is sewn: its map and passes stay at the size they were sewn by. What it measures now is written down when it is handed back.',
      widthIn !== quilt.widthIn ? 'widthsIn' : 'lengthsIn',
    );
  const machine = resized ? await readMachine(tx, quilt.machineId) : null;
  if (machine && Math.min(widthIn, lengthIn) > machine.frameIn)
    return refuse(
      `It would be wider than the frame of ${machine.name} either way (${machine.frameIn} in). Check the measures, or pick another machine.`,
      'widthsIn',
    );
  if (changes.dueOn && form.dueOn < quilt.takenInOn)
    return refuse('It cannot be promised for a day before it came.', 'dueOn');
  return null;
}

const lockedPlan = (q: Quilt): LockedPlan => ({
  passes: q.passes,
  depthsIn: q.depthsIn,
  turned: q.turned,
  begun: q.begun,
  orderByHand: q.orderByHand,
  zonesByHand: q.zonesByHand,
});
const UNLOCKED: LockedPlan = {
  passes: null,
  depthsIn: null,
  turned: false,
  begun: null,
  orderByHand: null,
  zonesByHand: {},
};

/** What else moves with a change of size: the map, and passes that were locked and not sewn. */
async function movedBy(tx: Sql, quilt: Quilt, changes: Changes): Promise<Moved> {
  const { widthIn, lengthIn } = sizeOf(quilt, valuesOf(changes, 'redo'));
  if (widthIn === quilt.widthIn && lengthIn === quilt.lengthIn) return {};
  const zonesBefore = (await readZones(tx, quilt.id)).map(({ id, geometry, lengthIn }) => ({
    id,
    geometry,
    lengthIn,
  }));
  return {
    zonesBefore,
    zonesAfter: scaled(zonesBefore, widthIn / quilt.widthIn, lengthIn / quilt.lengthIn),
    ...(quilt.passes === null ? {} : { plan: lockedPlan(quilt) }),
  };
}

const tested = async (sql: Sql, quiltId: string) =>
  new Set((await readSetups(sql, quiltId)).filter((s) => s.provenAt).map((s) => s.zoneId));

/** Goes a correction forth or back, with all that moves with it; what it undid, in sentences. Null: changed meanwhile. */
async function apply(
  tx: Sql,
  quilt: Quilt,
  changes: Changes,
  way: 'undo' | 'redo',
  moved: Moved,
): Promise<string[] | null> {
  const before = await tested(tx, quilt.id);
  const { client, ...values } = valuesOf(changes, way) as Record<string, unknown> & { client?: string };
  const size = values.widthsIn || values.lengthsIn ? sizeOf(quilt, values) : {};
  const kept = await storeCorrected(tx, quilt.id, quilt.version, {
    ...(values as Correctable),
    ...size,
    ...(client ? { clientId: await clientNamed(tx, uuidv7(), client) } : {}),
  });
  if (!kept) return null;
  const said: string[] = [];
  if (moved.zonesBefore && moved.zonesAfter) {
    said.push(...(await moveZones(tx, quilt, moved, way, size)));
    // Passes are locked for one size: those of the other are put aside, those that stood at this one come back.
    const plan = (way === 'undo' && moved.plan) || UNLOCKED;
    if (plan.passes !== null || quilt.passes !== null) {
      await putPlan(tx, quilt.id, plan);
      said.push(
        plan.passes === null
          ? 'Its passes are unlocked: they were planned for the other size. Lock them in again on Quilt.'
          : 'Its passes are locked in again as they were.',
      );
    }
  }
  const after = await tested(tx, quilt.id);
  const letters = (ids: string[]) =>
    readZones(tx, quilt.id).then((zones) => zones.filter((z) => ids.includes(z.id)).map((z) => z.letter));
  const lost = await letters([...before].filter((id) => !after.has(id)));
  const back = await letters([...after].filter((id) => !before.has(id)));
  if (lost.length > 0)
    said.push(`${zonesWord(lost)}: the test rested on what was changed. Test again before sewing.`);
  if (back.length > 0) said.push(`${zonesWord(back)}: the test counts again.`);
  if (changes.battingId || changes.backingId)
    said.push('Set-ups already chosen stay until you match them again.');
  return said;
}

const zonesWord = (letters: readonly string[]) =>
  letters.length === 1 ? `Zone ${letters[0]}` : `Zones ${letters.join(', ')}`;

/** Lays the zones as the size asks: exactly as they were where the map is untouched since, else in proportion. */
async function moveZones(
  tx: Sql,
  quilt: Quilt,
  { zonesBefore, zonesAfter }: Moved,
  way: 'undo' | 'redo',
  size: { widthIn?: number; lengthIn?: number },
): Promise<string[]> {
  const zones = await readZones(tx, quilt.id);
  const [from, to] = way === 'redo' ? [zonesBefore!, zonesAfter!] : [zonesAfter!, zonesBefore!];
  const now: Laid[] = zones.map(({ id, geometry, lengthIn }) => ({ id, geometry, lengthIn }));
  const laid = laidAs(now, from)
    ? to
    : scaled(
        now,
        (size.widthIn ?? quilt.widthIn) / quilt.widthIn,
        (size.lengthIn ?? quilt.lengthIn) / quilt.lengthIn,
      );
  for (const z of laid) {
    const { letter, name } = zones.find((x) => x.id === z.id)!;
    await placeZone(tx, { ...z, letter, name });
  }
  return ['The map is drawn at the new size: every zone keeps its share.'];
}

export class UndoCorrection {
  @FormKey() key!: string;
  @Id('This change is not known. Reload the page.') correctionId!: string;
  @OneOf(['undo', 'redo'], 'Undo it, or put it back.') way!: 'undo' | 'redo';
}

/** Undoes a correction, or puts it back; refused where something was changed since, by name. */
export const undoCorrection = (context: Context, input: unknown): Promise<Result<{ said: string[] }>> =>
  save<UndoCorrection, { said: string[] }>(
    context,
    'undo-correction',
    UndoCorrection,
    input,
    async (tx, { correctionId, way }) => {
      const known = await readCorrection(tx, correctionId);
      if (!known) return refuse('This change is not known. Reload the page.', 'correctionId');
      await lockQuilt(tx, known.quiltId);
      const [c, quilt] = [(await readCorrection(tx, correctionId))!, (await readQuilt(tx, known.quiltId))!];
      if ((c.undoneAt !== null) !== (way === 'redo'))
        return conflict(
          way === 'undo' ? 'It is undone already. Reload to see.' : 'It stands already. Reload to see.',
        );
      const clash = changedSince(c.changed, correctableOf(quilt), way);
      if (clash.length > 0)
        return refuse(
          `${clash.map(labelOf).join(', ')}: changed again since. Undo the later change first, or correct it by hand.`,
          'correctionId',
        );
      if (c.moved.zonesBefore && quilt.sewn.length > 0)
        return refuse('Part of it is sewn since: its size stays as it was sewn by.', 'correctionId');
      const moved = way === 'redo' && c.moved.zonesBefore ? await movedBy(tx, quilt, c.changed) : c.moved;
      const said = await apply(tx, quilt, c.changed, way, moved);
      if (!said) return conflict(MEANWHILE);
      await setCorrectionUndone(tx, c.id, way === 'undo' ? context.now : null, moved);
      return done({ said });
    },
    QUILT_MEANINGS,
  );

export class WithdrawQuilt {
  @FormKey() key!: string;
  @QuiltId() quiltId!: string;
  @Version() version!: number;
  @Yes() withdrawn!: boolean;
  @Text(300) why!: string;
}

/** A quilt leaves unfinished: it goes off Rack, calendar and frame and keeps its record; or it is taken in again. */
export const withdrawQuilt = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<WithdrawQuilt, { id: string }>(context, 'withdraw-quilt', WithdrawQuilt, input, async (tx, form) => {
    const on = form.withdrawn ? format(context.now, 'yyyy-MM-dd') : null;
    return (await setWithdrawn(tx, form.quiltId, form.version, on, form.withdrawn ? form.why.trim() : ''))
      ? done({ id: form.quiltId })
      : conflict(MEANWHILE);
  });

/** A client's own details, the same for all her quilts. */
@Fields(CLIENT)
export class KeepClient {
  @FormKey() key!: string;
  @Id('This client is not known. Reload the page.') clientId!: string;
  @Words(120, 'Give the client’s name.') name!: string;
}

export const keepClient = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<KeepClient & ClientFields, { id: string }>(
    context,
    'keep-client',
    asForm<KeepClient & ClientFields>(KeepClient),
    input,
    async (tx, form) => {
      const known = await readClient(tx, form.clientId);
      if (!known) return refuse('This client is not known. Reload the page.', 'clientId');
      await updateClient(tx, {
        id: known.id,
        name: form.name.trim(),
        ...stored(CLIENT, form),
      });
      return done({ id: known.id });
    },
  );

/** What the page of corrections offers to pick from. */
export async function readChoices(sql: Sql) {
  const [battings, fabrics] = await Promise.all([readBattings(sql), readFabrics(sql)]);
  const named = (rows: readonly { id: string; name: string }[]) =>
    rows.map((r) => ({ value: r.id, label: r.name }));
  return { battingId: named(battings), backingId: named(fabrics) };
}
