import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, ArrayUnique, IsArray, IsIn } from 'class-validator';
import { format } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import { VISIBILITIES, type VisibilityWish } from '@/core/fields/lists';
import { spacingFor } from '@/core/density/spacing-for';
import { PLAN_LABEL, type PlanKind, planZones } from '@/core/plan/plan-kinds';
import { features } from '@/core/tables/features';
import { techniques } from '@/core/tables/techniques';
import { CoreError } from '@/core/notes';
import type { Field, KeptOf } from '@/core/fields/field';
import { ZONE, ZONE_FABRIC, ZONE_FEATURES, type ZoneFabricFields, type ZoneFields } from '@/core/fields/zone';
import {
  AGREED,
  type AgreedFields,
  CLIENT,
  type ClientFields,
  CONDITION,
  QUILT,
  type QuiltFields,
} from '@/core/fields/quilt';
import { eighth } from '@/core/plan/measure';
import { firstWork, type NewZone } from '@/core/motifs/first-work';
import { readBattings, readFabrics } from '@/data/cloths';
import { readPreferences } from '@/data/preferences';
import { readRulers } from '@/data/rulers';
import type { Machine } from '@/data/types';
import { motifStudio, readPastMotifs } from './motifs';
import { addToClient } from '@/data/clients';
import { insertCondition } from '@/data/conditions';
import { closeIntake } from '@/data/intakes';
import { readMachine } from '@/data/machines';
import { agreeOn, clientNamed, insertQuilt } from '@/data/quilts';
import { insertSetup } from '@/data/setups';
import type { Sql } from '@/data/sql';
import { copyZone, insertZone, readGeometry, setTechnique, updateZone, type ZoneWork } from '@/data/zones';
import type { Context } from './context';
import { type QuiltView, readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { asForm, EachOf, Fields, FormKey, Id, Maybe, Num, OneOf, Version, Whole, Words } from './rules';
import { MEANWHILE, type Meanings, save } from './save';

/** A plan of a kind, or the zones of a quilt that went before. */
const KINDS = [...(Object.keys(PLAN_LABEL) as PlanKind[]), 'like'] as const;

/** The rest of a zone's fields is said elsewhere. */
const ZONE_SAID: readonly Field[] = [...ZONE.filter((f: Field) => f.onForm !== false), ZONE_FEATURES];
/** What may be left out of a fabric is the usual. */
const CLOTH_SAID: readonly Field[] = ZONE_FABRIC.map((f) => ('usual' in f ? { ...f, optional: true } : f));

@Fields(CLOTH_SAID)
class ZoneCloth {}
type ClothSaid = Pick<ZoneFabricFields, 'fabricId' | 'share'> & Partial<ZoneFabricFields>;

/** Something found at the counter, as it is said before there is a quilt. */
@Fields(CONDITION)
class Found {
  @Maybe() @Id('This photograph is not known.') photographId?: string | null;
}

/** A bundle on the counter: whose, how large, what for, of what layers, until when. */
@Fields(QUILT)
@Fields([...CLIENT, ...AGREED], 'are given')
export class TakeIn {
  @FormKey() key!: string;
  @Id('This intake is not known. Begin a new one.') intakeId!: string;
  @Words(120, 'Give the client’s name.') client!: string;
  @Id('Pick the machine.') machineId!: string;
  @IsArray({ message: 'Say what it is made of.' })
  @ArrayMinSize(1, { message: 'Say what it is made of.' })
  @ArrayMaxSize(12, { message: 'At most twelve fabrics.' })
  @EachOf(() => ZoneCloth)
  fabrics!: ClothSaid[];
  @IsArray({ message: 'Pick from the list.' })
  @ArrayUnique({ message: 'A feature stands twice.' })
  @IsIn([...features.ids], { each: true, message: 'Pick from the list.' })
  features!: string[];
  @OneOf(VISIBILITIES, 'Should the stitching sink, be texture, or show?') visibility!: VisibilityWish;
  @OneOf(KINDS, 'Pick how it is laid out.') plan!: (typeof KINDS)[number];
  /** The quilt it is laid out like. */
  @Maybe() @Id('The quilt it is like is not known any more.') likeId?: string | null;
  @Maybe() @Num(0.25, 60, 'The border, in inches,') borderIn?: number | null;
  @Maybe() @Whole(1, 40, 'Blocks across') columns?: number | null;
  @Maybe() @Whole(1, 40, 'Blocks down') rows?: number | null;
  @Maybe() @Num(0, 20, 'The sashing, in inches,') sashIn?: number | null;
  @Maybe()
  @IsArray({ message: 'What was found could not be read.' })
  @ArrayMaxSize(60, { message: 'At most sixty things found on one quilt.' })
  @EachOf(() => Found)
  conditions?: Found[] | null;
}
type TakeInForm = TakeIn & QuiltFields & Partial<ClientFields> & Partial<AgreedFields>;

const NOT_KNOWN: Meanings = {
  quilt_batting_id_fkey: ['battingId', 'This batting is not known any more.'],
  quilt_backing_id_fkey: ['backingId', 'This backing is not known any more.'],
  quilt_machine_id_fkey: ['machineId', 'This machine is not known any more.'],
  zone_fabric_fabric_id_fkey: ['fabrics', 'A fabric is not known any more.'],
};

const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
/** Shares of cloths, adding up to 1. */
const sharesOf = (cloths: readonly ClothSaid[]) => {
  const sum = cloths.reduce((s, f) => s + f.share, 0);
  return cloths.map((f) => ({
    fabricId: f.fabricId,
    hex: f.hex?.toLowerCase() ?? null,
    share: f.share / sum,
    role: f.role ?? ('ground' as const),
    sewnOver: f.sewnOver ?? true,
    busyness: f.busyness ?? null,
  }));
};

/** Lays a quilt out like one before: its zones at this size, with their work, cloths and cards; what was proven there is the first guess here. */
async function layLike(
  tx: Sql,
  quiltId: string,
  { widthIn, lengthIn }: { widthIn: number; lengthIn: number },
  { quilt, zones, setups }: QuiltView,
): Promise<void> {
  const [sx, sy] = [widthIn / quilt.widthIn, lengthIn / quilt.lengthIn];
  for (const z of zones) {
    const id = uuidv7();
    const s = setups.get(z.id);
    await copyZone(tx, z.id, {
      id,
      quiltId,
      letter: z.letter,
      name: z.name,
      geometry: z.geometry.map((polygon) =>
        polygon.map((ring) => ring.map(([x, y]) => [x * sx, y * sy] as const)),
      ),
      lengthIn: z.lengthIn === null ? null : z.lengthIn * Math.sqrt(sx * sy),
    });
    if (!s) continue;
    const [topGf, bobbinGf] = [s.provenTopGf ?? s.topGf, s.provenBobbinGf ?? s.bobbinGf];
    await insertSetup(tx, {
      ...s,
      id: uuidv7(),
      zoneId: id,
      version: 1,
      topGf,
      bobbinGf,
      ratio: topGf / bobbinGf,
    });
  }
}

/** The fields of a table out of a form: texts without spaces about them, nothing for what was left out. */
const pick = <const R extends readonly Field[]>(fields: R, form: object): KeptOf<R> =>
  Object.fromEntries(
    fields.map((f) => {
      const v = (form as Record<string, unknown>)[f.id] ?? f.usual ?? (f.mayBeEmpty ? '' : null);
      return [f.id, typeof v === 'string' ? v.trim() : v];
    }),
  ) as KeptOf<R>;

/** The intake becomes a quilt, with the zones its plan begins with. */
export const takeIn = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<TakeInForm, { id: string }>(
    context,
    'take-in',
    asForm<TakeInForm>(TakeIn),
    input,
    async (tx, form) => {
      const takenInOn = format(context.now, 'yyyy-MM-dd');
      if (form.dueOn < takenInOn) return refuse('That day is past. Promise a day to come.', 'dueOn');
      const [widthIn, lengthIn] = [eighth(form.widthsIn), eighth(form.lengthsIn)];
      const machine = await readMachine(tx, form.machineId);
      if (!machine) return refuse('This machine is not known any more.', 'machineId');
      if (Math.min(widthIn, lengthIn) > machine.frameIn) return refuse(tooWideFor(machine), 'machineId');
      const like =
        form.plan === 'like' && form.likeId ? await readQuiltView(tx, form.likeId, 'its cards') : null;
      if (form.plan === 'like' && !like)
        return refuse('The quilt it is like is not known any more. Pick another layout.', 'plan');
      const zones = like
        ? []
        : planZones({
            kind: form.plan as PlanKind,
            widthIn,
            lengthIn,
            borderIn: form.borderIn ?? undefined,
            columns: form.columns ?? undefined,
            rows: form.rows ?? undefined,
            sashIn: form.sashIn ?? undefined,
          });
      const id = await keepQuilt(tx, form, { widthIn, lengthIn, takenInOn });
      const work = await proposedWork(tx, zones, machine, { ...form, widthIn, lengthIn });
      for (const [i, z] of zones.entries())
        await insertZone(tx, {
          ...z,
          ...work[i]!,
          id: uuidv7(),
          quiltId: id,
          letter: LETTERS[i]!,
          visibility: form.visibility,
          fabrics: sharesOf(form.fabrics),
          features: form.features,
        });
      if (like) await layLike(tx, id, { widthIn, lengthIn }, like);
      return done({ id });
    },
    NOT_KNOWN,
  );

const tooWideFor = (machine: Machine) =>
  `This top is wider than the frame of ${machine.name} either way (${machine.frameIn} in). Check the measures, or pick another machine.`;

/** Client, quilt, what was agreed and what was found on it, out of an intake that is closed by it. */
async function keepQuilt(
  tx: Sql,
  form: TakeInForm,
  measured: { widthIn: number; lengthIn: number; takenInOn: string },
): Promise<string> {
  const id = uuidv7();
  const clientId = await clientNamed(tx, uuidv7(), form.client.trim());
  await addToClient(tx, clientId, pick(CLIENT, form));
  await insertQuilt(tx, {
    ...pick(QUILT, form),
    ...measured,
    id,
    clientId,
    machineId: form.machineId,
  });
  await agreeOn(tx, id, pick(AGREED, form));
  if (!(await closeIntake(tx, form.intakeId, id)))
    throw new CoreError('taken-in', 'This intake has already become a quilt. Look on the Rack.', '');
  for (const f of form.conditions ?? [])
    await insertCondition(tx, {
      ...pick(CONDITION, f),
      id: uuidv7(),
      quiltId: id,
      photographId: f.photographId ?? null,
    });
  return id;
}

/** What a new quilt's zones begin with: the first proposal for what is known of it at the counter. */
async function proposedWork(
  tx: Sql,
  zones: readonly NewZone[],
  machine: Machine,
  said: Pick<QuiltFields, 'use' | 'battingId' | 'backingId'> & {
    widthIn: number;
    lengthIn: number;
    fabrics: readonly ClothSaid[];
    features: readonly string[];
    visibility: VisibilityWish;
  },
) {
  const [fabrics, battings, rulers, past, preferences] = await Promise.all([
    readFabrics(tx),
    readBattings(tx),
    readRulers(tx),
    readPastMotifs(tx),
    readPreferences(tx),
  ]);
  const batting = battings.find((b) => b.id === said.battingId);
  const kindOf = (id: string) => fabrics.find((f) => f.id === id)?.kind ?? 'unknown';
  return firstWork(zones, {
    quilt: {
      widthIn: said.widthIn,
      lengthIn: said.lengthIn,
      use: said.use,
      battingId: batting?.kind ?? 'unknown',
      battingMaxGapIn: batting?.maxGapIn ?? undefined,
      backing: kindOf(said.backingId),
    },
    top: said.fabrics.map((f) => ({
      fabric: kindOf(f.fabricId),
      share: f.share,
      busyness: f.busyness ?? undefined,
    })),
    features: said.features,
    visibility: said.visibility,
    ...motifStudio(machine, rulers, preferences!),
    past,
  });
}

/** What is done in a zone, on which cloths. */
@Fields(ZONE_SAID)
export class KeepZone {
  @FormKey() key!: string;
  @Id('This zone is not known. Reload the page.') id!: string;
  @Version() version!: number;
  @IsArray({ message: 'Say which fabric lies in this zone.' })
  @ArrayMinSize(1, { message: 'Say which fabric lies in this zone.' })
  @ArrayMaxSize(12, { message: 'At most twelve fabrics in a zone.' })
  @EachOf(() => ZoneCloth)
  fabrics!: ClothSaid[];
}
type ZoneForm = KeepZone & Omit<ZoneFields, 'role'> & { features: string[] };

export const keepZone = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<ZoneForm, { id: string }>(
    context,
    'keep-zone',
    asForm<ZoneForm>(KeepZone),
    input,
    async (tx: Sql, form) => {
      if (form.fabrics.every((f) => f.sewnOver === false))
        return refuse(
          'Every fabric here is left alone: say which of them the stitching goes over.',
          'fabrics',
        );
      const work: ZoneWork = { ...form, fabrics: sharesOf(form.fabrics) };
      return (await updateZone(tx, form.id, work, form.version))
        ? done({ id: form.id })
        : conflict(MEANWHILE);
    },
    {
      zone_fabric_fabric_id_fkey: ['fabrics', 'A fabric is not known any more.'],
      zone_yarn_id_fkey: ['yarnId', 'This yarn is not known any more.'],
    },
  );

export class QuickToZone {
  @FormKey() key!: string;
  @Id('Pick the zone.') zoneId!: string;
  @OneOf(techniques.ids, 'Pick a technique from the list.') technique!: string;
  @OneOf(VISIBILITIES, 'Should the stitching sink, be texture, or show?') visibility!: VisibilityWish;
}

/** A quick set-up becomes what a zone is quilted with; its fabrics stay, and Match takes it from there. */
export const quickToZone = (context: Context, input: unknown): Promise<Result<{ quiltId: string }>> =>
  save<QuickToZone, { quiltId: string }>(context, 'quick-to-zone', QuickToZone, input, async (tx, form) => {
    const geometry = await readGeometry(tx, form.zoneId);
    const quiltId =
      geometry &&
      (await setTechnique(tx, form.zoneId, {
        technique: form.technique,
        spacingIn: spacingFor(techniques.get(form.technique), geometry),
        visibility: form.visibility,
      }));
    return quiltId
      ? done({ quiltId })
      : refuse('This zone is not on the map any more. Pick another.', 'zoneId');
  });
