import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import { fitCalibration } from '@/core/calibration/monotone';
import { checkTex } from '@/core/shelf/cone';
import { fibres } from '@/core/tables/fibres';
import { NEEDLE_SIZES } from '@/core/tables/needles';
import type { Basis } from '@/core/thread/label-forms';
import { readBobbins } from '@/data/bobbins';
import { BATTING_FIELDS, FABRIC_FIELDS, readBattings, readFabrics } from '@/data/cloths';
import { CONE_FIELDS, readAllCones } from '@/data/cones';
import { MACHINE_FIELDS, readCalibrations, readMachines, upsertCalibration } from '@/data/machines';
import { readNeedles, upsertNeedle } from '@/data/needles';
import { readRulers, RULER_FIELDS } from '@/data/rulers';
import type { Sql } from '@/data/sql';
import { readStudio, STUDIO_FIELDS } from '@/data/studio';
import { WindBobbins } from './bobbins';
import { KeepBatting, KeepFabric, KeepRuler } from './cloths';
import { ROLES, SHEENS } from './cones';
import { Calibrate, KeepMachine, soundMachine } from './machines';
import { KeepNeedles } from './needles';
import { SetPreferences } from './preferences';
import { done, type Problem, refuse, type Result } from './result';
import { FormKey, Hex, Id, Maybe, Num, OneOf, Text, Words, Yes } from './rules';
import { type Meanings, save } from './save';
import { check } from './validate';

const FORMAT = 'tidy-spool-workroom';
const VERSION = 1;
const MOST_OF_A_KIND = 20_000;

const pick = <T extends object>(row: T, fields: readonly (keyof T & string)[]) =>
  Object.fromEntries(fields.map((f) => [f, row[f]]));

/** Everything the Workroom and the shelf hold, as one document. */
export async function exportWorkroom(sql: Sql) {
  const [studio, machines, calibrations, fabrics, battings, cones, needles, rulers, bobbins] =
    await Promise.all([
      readStudio(sql),
      readMachines(sql),
      readCalibrations(sql),
      readFabrics(sql),
      readBattings(sql),
      readAllCones(sql),
      readNeedles(sql),
      readRulers(sql),
      readBobbins(sql),
    ]);
  return {
    format: FORMAT,
    version: VERSION,
    studio: studio && pick(studio, STUDIO_FIELDS),
    machines: machines.map((m) => pick(m, ['id', ...MACHINE_FIELDS])),
    calibrations: calibrations.map((c) => pick(c, ['machineId', 'kind', 'points'])),
    fabrics: fabrics.filter((f) => !f.shipped).map((f) => pick(f, ['id', ...FABRIC_FIELDS])),
    battings: battings.filter((b) => !b.shipped).map((b) => pick(b, ['id', ...BATTING_FIELDS])),
    threads: cones.map((c) => ({
      ...pick(c, ['id', ...CONE_FIELDS, 'remainingM', 'remainingSource']),
      away: c.archivedAt !== null,
    })),
    needles: needles.map((n) => pick(n, ['nm', 'eye', 'point', 'coated', 'stock'])),
    rulers: rulers.map((r) => pick(r, ['id', ...RULER_FIELDS])),
    bobbins: bobbins.map((b) => pick(b, ['threadId', 'kind', 'metresEach', 'count'])),
  };
}

const BASES: readonly Basis[] = ['measured', 'tex', 'den', 'ne', 'nm', 'ticket', 'wt'];
const SIZES = NEEDLE_SIZES.map((s) => s.nm);

class StoredCone {
  @Id('A cone has no id.') id!: string;
  @Words(120, 'A cone has no line.') line!: string;
  @Words(120, 'A cone has no colour name.') colour!: string;
  @Maybe() @Hex() hex?: string | null;
  @OneOf(fibres.ids, 'This fibre is not known.') fibre!: string;
  @Text(200) label!: string;
  @Num(1, 1000, 'Tex') tex!: number;
  @OneOf(BASES, 'It does not say what the size rests on.') texBasis!: Basis;
  @OneOf(ROLES, 'Top, bobbin or both.') role!: (typeof ROLES)[number];
  @Maybe() @OneOf(SIZES, 'There is no such needle.') needleMinNm?: number | null;
  @Maybe() @OneOf(SIZES, 'There is no such needle.') needleMaxNm?: number | null;
  @Maybe() @OneOf(SHEENS, 'Matt, satin or bright.') sheen?: string | null;
  @Maybe() @Num(0.1, 10_000, 'Net grams') fullG?: number | null;
  @Maybe() @Num(1, 1_000_000, 'Metres') fullM?: number | null;
  @Maybe() @Num(0, 10_000, 'Grams') tareG?: number | null;
  @Text(120) place!: string;
  @Text(2000) notes!: string;
  @Maybe() @Num(0, 100_000, 'The price') price?: number | null;
  @Maybe() @Num(0, 1_000_000, 'Metres left') remainingM?: number | null;
  @Maybe() @OneOf(['weighed', 'logged', 'set'], 'Weighed, logged or set.') remainingSource?: string | null;
  @Yes() away!: boolean;
}

/** Each list of the document, and the rules its entries must keep; forms' own fields are filled in. */
const SECTIONS: Readonly<Record<string, { rules: new () => object; filled: object }>> = {
  machines: { rules: KeepMachine, filled: { key: uuidv7(), version: 0 } },
  calibrations: { rules: Calibrate, filled: { key: uuidv7() } },
  fabrics: { rules: KeepFabric, filled: { key: uuidv7(), version: 0 } },
  battings: { rules: KeepBatting, filled: { key: uuidv7(), version: 0 } },
  threads: { rules: StoredCone, filled: {} },
  needles: { rules: KeepNeedles, filled: { key: uuidv7() } },
  rulers: { rules: KeepRuler, filled: { key: uuidv7(), version: 0 } },
  bobbins: { rules: WindBobbins, filled: { key: uuidv7(), machineId: uuidv7() } },
};

interface Document {
  studio: SetPreferences | null;
  machines: KeepMachine[];
  calibrations: Calibrate[];
  fabrics: KeepFabric[];
  battings: KeepBatting[];
  threads: StoredCone[];
  needles: KeepNeedles[];
  rulers: KeepRuler[];
  bobbins: WindBobbins[];
}

const MOST_PROBLEMS = 20;

/** The document with every entry checked, or what is wrong and where. */
async function readDocument(text: string): Promise<Result<Document>> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse('This file is not JSON. Pick one that was saved here as “workroom”.', 'text');
  }
  const doc = json as Record<string, unknown> | null;
  if (typeof doc !== 'object' || doc === null || doc.format !== FORMAT)
    return refuse('This file is not a workroom of this program.', 'text');
  if (doc.version !== VERSION) return refuse('This file comes from a newer program.', 'text');
  const problems: Problem[] = [];
  const out: Record<string, unknown> = { studio: null };
  if (doc.studio != null) {
    const studio = await check(SetPreferences, { ...(doc.studio as object), key: uuidv7(), version: 0 });
    if (studio.ok) out.studio = studio.value;
    else problems.push(...studio.problems.map((p) => ({ ...p, path: `studio.${p.path}` })));
  }
  for (const [name, { rules, filled }] of Object.entries(SECTIONS)) {
    const list = doc[name] ?? [];
    if (!Array.isArray(list) || list.length > MOST_OF_A_KIND) {
      problems.push({ path: name, message: `“${name}” must be a list of at most ${MOST_OF_A_KIND}.` });
      continue;
    }
    const checked = await Promise.all(list.map((item) => check(rules, { ...(item as object), ...filled })));
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
}

const MEANINGS: Meanings = {
  thread_line_colour_key: [
    'threads',
    'A cone of the file has the line and colour of another one on the shelf.',
  ],
  fabric_name_key: ['fabrics', 'A fabric of the file has the name of another one here.'],
  batting_name_key: ['battings', 'A batting of the file has the name of another one here.'],
  ruler_name_key: ['rulers', 'A ruler of the file has the name of another one here.'],
  machine_name_key: ['machines', 'A machine of the file has the name of another one here.'],
  calibration_machine_id_fkey: [
    'calibrations',
    'A calibration belongs to a machine that is not in the file.',
  ],
  bobbin_stock_thread_id_fkey: ['bobbins', 'Bobbins belong to a cone that is not in the file.'],
};

/** Brings a workroom in: what has the same id is replaced, what is new is added; all of it or nothing. */
export const importWorkroom = (input: unknown): Promise<Result<Record<string, number>>> =>
  save<ImportWorkroom, Record<string, number>>(
    'import-workroom',
    ImportWorkroom,
    input,
    async (tx, form) => {
      const read = await readDocument(form.text);
      if (!read.ok) return read;
      const doc = read.value;
      for (const [i, m] of doc.machines.entries()) {
        const sound = soundMachine(m);
        if (!sound.ok)
          return {
            ok: false,
            problems: sound.problems.map((p) => ({ ...p, path: `machines.${i}.${p.path}` })),
          };
      }
      doc.threads.forEach((t) => checkTex(t.tex, t.fibre, `threads: ${t.line} ${t.colour}`));
      doc.calibrations.forEach((c) => fitCalibration(c.points));
      if (doc.studio)
        await tx`update studio set ${tx({ ...doc.studio }, ...STUDIO_FIELDS)}, version = version + 1`;
      for (const m of doc.machines) await put(tx, 'machine', m, MACHINE_FIELDS);
      for (const c of doc.calibrations)
        await upsertCalibration(
          tx,
          uuidv7(),
          c.machineId,
          c.kind,
          c.points.map(({ mark, value }) => ({ mark, value })),
        );
      for (const f of doc.fabrics) await put(tx, 'fabric', f, FABRIC_FIELDS);
      for (const b of doc.battings) await put(tx, 'batting', b, BATTING_FIELDS);
      for (const r of doc.rulers) await put(tx, 'ruler', r, RULER_FIELDS);
      for (const t of doc.threads)
        await put(
          tx,
          'thread',
          {
            ...t,
            archivedAt: t.away ? new Date() : null,
            remainingAt: t.remainingM == null ? null : new Date(),
          },
          [...CONE_FIELDS, 'remainingM', 'remainingSource', 'remainingAt', 'archivedAt'],
        );
      for (const n of doc.needles) await upsertNeedle(tx, uuidv7(), n);
      for (const b of doc.bobbins)
        await tx`
          insert into bobbin_stock (id, thread_id, kind, metres_each, count)
          values (${uuidv7()}, ${b.threadId}, ${b.kind}, ${b.metresEach ?? 1}, ${b.count})
          on conflict (thread_id, kind, metres_each) do update set count = excluded.count`;
      return done(
        Object.fromEntries(
          Object.keys(SECTIONS).map((k) => [k, (doc[k as keyof Document] as unknown[]).length]),
        ),
      );
    },
    MEANINGS,
  );

/** Inserts a row under its own id, or replaces the one that has it. */
async function put(tx: Sql, table: string, row: object, fields: readonly string[]) {
  const given = row as Record<string, string | number | boolean | Date | null | undefined>;
  const all: Record<string, string | number | boolean | Date | null> = { id: given.id ?? uuidv7() };
  for (const f of fields) all[f] = given[f] ?? null;
  await tx`
    insert into ${tx(table)} ${tx(all, ...Object.keys(all))}
    on conflict (id) do update set ${tx(all, ...fields)}, version = ${tx(table)}.version + 1`;
}
