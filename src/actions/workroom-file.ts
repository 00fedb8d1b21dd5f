import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import { fitCalibration } from '@/core/calibration/monotone';
import { CONE, CONE_REMAINING, type ConeFields, type ConeRemaining } from '@/core/fields/cone';
import { PREFERENCES } from '@/core/fields/preferences';
import { stored, usualValues } from '@/core/fields/stored';
import { checkTex } from '@/core/shelf/cone';
import { readBobbins, upsertBobbins } from '@/data/bobbins';
import { putRow } from '@/data/columns';
import { BATTING_FIELDS, FABRIC_FIELDS, readBattings, readFabrics } from '@/data/cloths';
import { CONE_FIELDS, readAllCones, setRemaining } from '@/data/cones';
import type { Cone } from '@/data/types';
import { MACHINE } from '@/core/fields/machine';
import { MACHINE_FIELDS, readCalibrations, readMachines, upsertCalibration } from '@/data/machines';
import { readNeedles, upsertNeedle } from '@/data/needles';
import { readRulers, RULER_FIELDS } from '@/data/rulers';
import { readYarns, YARN_FIELDS } from '@/data/yarns';
import type { Sql } from '@/data/sql';
import { PREFERENCE_FIELDS, readPreferences, replacePreferences } from '@/data/preferences';
import type { Context } from './context';
import { WindBobbins } from './bobbins';
import { KeepBatting, KeepFabric, KeepRuler, KeepYarn } from './cloths';
import { Calibrate, KeepMachine, checkMachine, type MachineForm } from './machines';
import { KeepNeedles } from './needles';
import { SetPreferences } from './preferences';
import { done, type Problem, refuse, type Result } from './result';
import { Fields, FormKey, Id, Maybe, OneOf, Text, Yes } from './rules';
import { type Meanings, save } from './save';
import { check } from './validate';

const FORMAT = 'tidy-spool-workroom';
const VERSION = 2;
const MOST_OF_A_KIND = 20_000;

const pick = <T extends object>(row: T, fields: readonly (keyof T & string)[]) =>
  Object.fromEntries(fields.map((f) => [f, row[f]]));

/** Everything the Workroom and the shelf hold, as one document. */
export async function exportWorkroom(sql: Sql) {
  const [preferences, machines, calibrations, fabrics, battings, cones, needles, rulers, yarns, bobbins] =
    await Promise.all([
      readPreferences(sql),
      readMachines(sql),
      readCalibrations(sql),
      readFabrics(sql),
      readBattings(sql),
      readAllCones(sql),
      readNeedles(sql),
      readRulers(sql),
      readYarns(sql),
      readBobbins(sql),
    ]);
  return {
    format: FORMAT,
    version: VERSION,
    preferences: preferences && pick(preferences, PREFERENCE_FIELDS),
    machines: machines.map((m) => pick(m, ['id', ...MACHINE_FIELDS])),
    calibrations: calibrations.map((c) => pick(c, ['machineId', 'kind', 'points'])),
    fabrics: fabrics.filter((f) => !f.shipped).map((f) => pick(f, ['id', ...FABRIC_FIELDS])),
    battings: battings.filter((b) => !b.shipped).map((b) => pick(b, ['id', ...BATTING_FIELDS])),
    cones: cones.map((c) => ({
      ...pick(c, ['id', ...CONE_FIELDS, 'remainingM', 'remainingSource']),
      away: c.archivedAt !== null,
    })),
    needles: needles.map((n) => pick(n, ['nm', 'eye', 'point', 'coated', 'stock'])),
    rulers: rulers.map((r) => pick(r, ['id', ...RULER_FIELDS])),
    yarns: yarns.map((y) => pick(y, ['id', ...YARN_FIELDS])),
    bobbins: bobbins.map((b) => pick(b, ['coneId', 'kind', 'metresEach', 'count'])),
  };
}

@Fields([...CONE, ...CONE_REMAINING])
class StoredCone {
  @Id('A cone has no id.') id!: string;
  @Yes() away!: boolean;
}
type ConeOfFile = StoredCone & ConeFields & ConeRemaining;

/** Fields of a machine that came later than the first files. */
const LATER_MACHINE = Object.fromEntries(
  Object.entries(usualValues(MACHINE)).filter(([id]) =>
    ['kind', 'throatHeightIn', 'regulated', 'otherHoursWeek'].includes(id),
  ),
);

/** Each list of the document, and the rules its entries must keep; forms' own fields are filled in. */
const SECTIONS: Readonly<Record<string, { rules: new () => object; filled: object; lacking?: object }>> = {
  // A file older than a field of the machine takes its usual.
  machines: { rules: KeepMachine, filled: { key: uuidv7(), version: 0 }, lacking: LATER_MACHINE },
  calibrations: { rules: Calibrate, filled: { key: uuidv7() } },
  fabrics: { rules: KeepFabric, filled: { key: uuidv7(), version: 0 } },
  battings: { rules: KeepBatting, filled: { key: uuidv7(), version: 0 } },
  cones: { rules: StoredCone, filled: {} },
  needles: { rules: KeepNeedles, filled: { key: uuidv7() } },
  rulers: { rules: KeepRuler, filled: { key: uuidv7(), version: 0 } },
  yarns: { rules: KeepYarn, filled: { key: uuidv7(), version: 0 } },
  bobbins: { rules: WindBobbins, filled: { key: uuidv7(), machineId: uuidv7() } },
};

interface Document {
  preferences: SetPreferences | null;
  machines: MachineForm[];
  calibrations: Calibrate[];
  fabrics: KeepFabric[];
  battings: KeepBatting[];
  cones: ConeOfFile[];
  needles: KeepNeedles[];
  rulers: KeepRuler[];
  yarns: KeepYarn[];
  bobbins: WindBobbins[];
}

const MOST_PROBLEMS = 20;

/** A document of the first version under the names of this one. */
function asNow(doc: Record<string, unknown> | null): Record<string, unknown> | null {
  if (typeof doc !== 'object' || doc === null || doc.version !== 1)
    return typeof doc === 'object' ? doc : null;
  const { threads, studio, bobbins, ...rest } = doc;
  const { hoursPerWeek: _, ...preferences } = (studio ?? {}) as Record<string, unknown>;
  const idling = (m: unknown) => (m === 'cruise' ? 'idling' : m === 'precision' ? 'resting' : m);
  const machines = Array.isArray(doc.machines) ? (doc.machines as Record<string, unknown>[]) : [];
  return {
    ...rest,
    version: VERSION,
    preferences: studio && { ...preferences, modeRule: idling(preferences.modeRule) },
    machines: machines.map((m) => ({ ...m, modes: Array.isArray(m.modes) ? m.modes.map(idling) : m.modes })),
    cones: threads,
    bobbins: Array.isArray(bobbins)
      ? (bobbins as Record<string, unknown>[]).map(({ threadId, ...b }) => ({ ...b, coneId: threadId }))
      : bobbins,
  };
}

/** The studio's ways in a file; one older than a preference takes its usual. */
const preferencesOf = (given: object) =>
  check(SetPreferences, { ...usualValues(PREFERENCES), ...given, key: uuidv7(), version: 0 });

/** The document with every entry checked, or what is wrong and where. */
async function readDocument(text: string): Promise<Result<Document>> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse('This file is not JSON. Pick one that was saved here as “workroom”.', 'text');
  }
  const doc = asNow(json as Record<string, unknown> | null);
  if (doc === null || doc.format !== FORMAT)
    return refuse('This file is not a workroom of this program.', 'text');
  if (doc.version !== VERSION) return refuse('This file comes from a newer program.', 'text');
  const problems: Problem[] = [];
  const out: Record<string, unknown> = { preferences: null };
  if (doc.preferences != null) {
    const preferences = await preferencesOf(doc.preferences as object);
    if (preferences.ok) out.preferences = preferences.value;
    else problems.push(...preferences.problems.map((p) => ({ ...p, path: `preferences.${p.path}` })));
  }
  for (const [name, { rules, filled, lacking }] of Object.entries(SECTIONS)) {
    const list = doc[name] ?? [];
    if (!Array.isArray(list) || list.length > MOST_OF_A_KIND) {
      problems.push({ path: name, message: `“${name}” must be a list of at most ${MOST_OF_A_KIND}.` });
      continue;
    }
    const checked = await Promise.all(
      list.map((item) => check(rules, { ...lacking, ...(item as object), ...filled })),
    );
    checked.forEach((c, i) => {
      if (!c.ok) problems.push(...c.problems.map((p) => ({ ...p, path: `${name}.${i}.${p.path}` })));
    });
    out[name] = checked.flatMap((c) => (c.ok ? [c.value] : []));
  }
  return problems.length > 0
    ? { ok: false, problems: problems.slice(0, MOST_PROBLEMS) }
    : done(out as unknown as Document);
}

export class ImportWorkroom {
  @FormKey() key!: string;
  @Text(20_000_000) text!: string;
  /** What is left on cones that the file knows otherwise: as it is here, or as the file has it. */
  @Maybe() @OneOf(['keep', 'take'], 'Keep what is here, or take what the file says.') metres?:
    | 'keep'
    | 'take';
}

const MOST_NAMED = 5;

/** Cones whose metres the file would set back or forth, here and there. */
const differing = (here: readonly Cone[], there: readonly ConeOfFile[]) => {
  const known = new Map(here.map((c) => [c.id, c]));
  return there.flatMap((t) => {
    const c = known.get(t.id);
    const [a, b] = [c?.remainingM ?? null, t.remainingM ?? null];
    return c && a !== b && (a === null || b === null || Math.abs(a - b) > 0.5) ? [{ c, a, b }] : [];
  });
};

/** Which cones the file knows otherwise, in words. */
function otherMetres(other: ReturnType<typeof differing>): string {
  const m = (x: number | null) => (x === null ? 'not counted' : `${Math.round(x)} m`);
  const named = other
    .slice(0, MOST_NAMED)
    .map(({ c, a, b }) => `${c.line} ${c.colour} (here ${m(a)}, file ${m(b)})`);
  return `The file knows other metres of ${other.length} ${other.length === 1 ? 'cone' : 'cones'}: ${named.join(', ')}${other.length > MOST_NAMED ? ' …' : ''}. Say whether they stay as they are here.`;
}

const MEANINGS: Meanings = {
  cone_line_colour_key: ['cones', 'A cone of the file has the line and colour of another one on the shelf.'],
  fabric_name_key: ['fabrics', 'A fabric of the file has the name of another one here.'],
  batting_name_key: ['battings', 'A batting of the file has the name of another one here.'],
  ruler_name_key: ['rulers', 'A ruler of the file has the name of another one here.'],
  yarn_name_key: ['yarns', 'A yarn of the file has the name of another one here.'],
  machine_name_key: ['machines', 'A machine of the file has the name of another one here.'],
  calibration_machine_id_fkey: [
    'calibrations',
    'A calibration belongs to a machine that is not in the file.',
  ],
  bobbin_stock_cone_id_fkey: ['bobbins', 'Bobbins belong to a cone that is not in the file.'],
};

/** Cones as the file has them; of those that stand here already, what remains is the studio's own word. */
async function putCones(
  tx: Sql,
  here: Awaited<ReturnType<typeof readAllCones>>,
  cones: Document['cones'],
): Promise<void> {
  const present = new Map(here.map((c) => [c.id, c]));
  for (const t of cones) {
    const c = present.get(t.id);
    const set = c
      ? { remainingM: c.remainingM, remainingSource: c.remainingSource, remainingAt: c.remainingAt }
      : null;
    await putRow(
      tx,
      'cone',
      {
        ...t,
        hexes: t.hexes ?? [],
        archivedAt: t.away ? new Date() : null,
        remainingAt: t.remainingM == null ? null : new Date(),
        ...set,
      },
      [...CONE_FIELDS, 'remainingM', 'remainingSource', 'remainingAt', 'archivedAt'],
    );
  }
}

/** Brings a workroom in: what has the same id is replaced, what is new is added; all of it or nothing. */
export const importWorkroom = (context: Context, input: unknown): Promise<Result<Record<string, number>>> =>
  save<ImportWorkroom, Record<string, number>>(
    context,
    'import-workroom',
    ImportWorkroom,
    input,
    async (tx, form) => {
      const read = await readDocument(form.text);
      if (!read.ok) return read;
      const doc = read.value;
      for (const [i, m] of doc.machines.entries()) {
        const fits = checkMachine(m);
        if (fits.ok) continue;
        return { ok: false, problems: fits.problems.map((p) => ({ ...p, path: `machines.${i}.${p.path}` })) };
      }
      doc.cones.forEach((t) => checkTex(t.tex, t.fibre, `cones: ${t.line} ${t.colour}`));
      doc.calibrations.forEach((c) => fitCalibration(c.points));
      if (doc.preferences) await replacePreferences(tx, stored(PREFERENCES, doc.preferences));
      for (const m of doc.machines) await putRow(tx, 'machine', m, MACHINE_FIELDS);
      for (const c of doc.calibrations)
        await upsertCalibration(
          tx,
          uuidv7(),
          c.machineId,
          c.kind,
          c.points.map(({ mark, value }) => ({ mark, value })),
        );
      for (const f of doc.fabrics) await putRow(tx, 'fabric', f, FABRIC_FIELDS);
      for (const b of doc.battings) await putRow(tx, 'batting', b, BATTING_FIELDS);
      for (const r of doc.rulers) await putRow(tx, 'ruler', r, RULER_FIELDS);
      for (const y of doc.yarns) await putRow(tx, 'yarn', y, YARN_FIELDS);
      const here = await readAllCones(tx);
      const other = differing(here, doc.cones);
      if (other.length > 0 && !form.metres) return refuse(otherMetres(other), 'metres');
      await putCones(tx, here, doc.cones);
      if (form.metres === 'take')
        for (const { c, b } of other)
          if (b !== null) await setRemaining(tx, c.id, b, 'set', 'from a workroom file');
      for (const n of doc.needles) await upsertNeedle(tx, uuidv7(), n);
      for (const b of doc.bobbins) await upsertBobbins(tx, uuidv7(), { ...b, metresEach: b.metresEach ?? 1 });
      return done(
        Object.fromEntries(
          Object.keys(SECTIONS).map((k) => [k, (doc[k as keyof Document] as unknown[]).length]),
        ),
      );
    },
    MEANINGS,
  );
