import 'reflect-metadata';
import { IsObject } from 'class-validator';
import { hasCare } from '@/data/care';
import {
  type PhotographMoment,
  type Use,
  USES,
  VISIBILITIES,
  type VisibilityWish,
} from '@/core/fields/lists';
import { battings as battingKinds } from '@/core/tables/battings';
import { fabrics as fabricKinds } from '@/core/tables/fabrics';
import { readBattings, readFabrics } from '@/data/cloths';
import { v7 as uuidv7 } from 'uuid';
import {
  countPhotographs,
  insertIntake,
  insertPhotograph,
  readIntake,
  setPhotographRemoved,
  updateIntake,
} from '@/data/intakes';
import { areaOf } from '@/core/geometry/polygon';
import { readQuilt } from '@/data/quilts';
import type { Sql } from '@/data/sql';
import type { Context } from './context';
import { readQuiltView } from './quilt-view';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, Maybe, OneOf, PartOf, Text, Version, Whole, Yes } from './rules';
import { redraw } from './redraw';
import { save } from './save';
import { check } from './validate';

/** What a quick set-up says of the quilt it becomes: kinds of fabric and batting, by the ids of the tables. */
class QuickBegun {
  @OneOf(fabricKinds.ids, 'Pick the fabric from the list.') fabric!: string;
  @OneOf(battingKinds.ids, 'Pick the batting from the list.') batting!: string;
  @OneOf(fabricKinds.ids, 'Pick the backing from the list.') backing!: string;
  @OneOf(USES, 'Say what it is for.') use!: Use;
  @OneOf(VISIBILITIES, 'Say how the quilting should look.') visibility!: VisibilityWish;
  @Text(300) words!: string;
}

export class BeginIntake {
  @FormKey() key!: string;
  /** A quilt it is to be begun like. */
  @Maybe() @Id('This quilt is not known.') likeId?: string | null;
  @Maybe() @PartOf(() => QuickBegun) quick?: QuickBegun | null;
}

/** What a quick set-up said of a quilt, in the words of a talk. */
async function fromQuick(sql: Sql, quick: QuickBegun): Promise<object> {
  const [fabrics, battings] = await Promise.all([readFabrics(sql), readBattings(sql)]);
  const idOf = (rows: readonly { id: string; kind: string; shipped: boolean }[], kind: string) =>
    (rows.find((r) => r.kind === kind && r.shipped) ?? rows.find((r) => r.kind === kind))?.id ?? '';
  return {
    record: {
      use: quick.use,
      visibility: quick.visibility,
      battingId: idOf(battings, quick.batting),
      backingId: idOf(fabrics, quick.backing),
      wishes: quick.words,
    },
    cloths: [{ fabricId: idOf(fabrics, quick.fabric), hex: '', share: '100' }],
  };
}

/** What is said already when a quilt is begun like another: its use, layers and layout; whose it is and its size are asked. */
async function likeBefore(sql: Sql, quiltId: string): Promise<object | null> {
  const view = await readQuiltView(sql, quiltId, 'its cards');
  if (!view) return null;
  const { quilt, zones } = view;
  const shares = new Map<string, { fabricId: string; hex: string | null; share: number }>();
  for (const z of zones)
    for (const f of z.fabrics) {
      const key = `${f.fabricId} ${f.hex}`;
      const share = (shares.get(key)?.share ?? 0) + f.share * areaOf(z.geometry);
      shares.set(key, { fabricId: f.fabricId, hex: f.hex, share });
    }
  const all = [...shares.values()].reduce((sum, f) => sum + f.share, 0) || 1;
  return {
    record: {
      use: quilt.use,
      visibility: zones[0]?.visibility ?? 'texture',
      care: quilt.care,
      features: [...new Set(zones.flatMap((z) => z.features))],
      battingId: quilt.battingId,
      backingId: quilt.backingId,
      prewash: quilt.prewash,
      machineId: quilt.machineId,
      plan: 'like',
      likeId: quilt.id,
      likeName: quilt.name,
    },
    cloths: [...shares.values()]
      .sort((a, b) => b.share - a.share)
      .slice(0, MOST_CLOTHS)
      .map((f) => ({
        fabricId: f.fabricId,
        hex: f.hex ?? '',
        share: String(Math.max(1, Math.round((100 * f.share) / all))),
      })),
  };
}
const MOST_CLOTHS = 12;

export const beginIntake = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<BeginIntake, { id: string }>(context, 'begin-intake', BeginIntake, input, async (tx, form) => {
    const id = uuidv7();
    const like = form.likeId
      ? await likeBefore(tx, form.likeId)
      : form.quick
        ? await fromQuick(tx, form.quick)
        : {};
    if (!like) return refuse('This quilt is not known. Go back to the record.', 'likeId');
    await insertIntake(tx, id, like);
    return done({ id });
  });

const MOST_LETTERS = 60_000;

/** What was said so far, as it was typed: checked only when the talk becomes a quilt. */
export class KeepIntake {
  @FormKey() key!: string;
  @Id('This intake is not known. Begin a new one.') id!: string;
  @Version() version!: number;
  @Whole(1, 5, 'The page') step!: number;
  @IsObject({ message: 'What was said could not be read.' }) data!: Record<string, unknown>;
}

/** Keeps what was said so far. Sent again under its key, it is answered again; a receipt is not needed for that. */
export async function keepIntake(
  { sql }: Pick<Context, 'sql'>,
  input: unknown,
): Promise<Result<{ version: number }>> {
  const checked = await check(KeepIntake, input);
  if (!checked.ok) return checked;
  const form = checked.value;
  if (JSON.stringify(form.data).length > MOST_LETTERS)
    return refuse('That is more than can be kept here.', 'data');
  const version = await updateIntake(sql, form);
  return version === null
    ? conflict('Another window has gone on with this intake. Reload to see it; nothing was overwritten.')
    : done({ version });
}

const MOST_BYTES = 8_000_000;
const MOST_IN_A_TALK = 10;
const MOST_OF_A_QUILT = 40;
/** What all photographs of a studio may take, GB; set by the environment. */
const studioBytes = () => (Number(process.env.TIDY_SPOOL_PHOTOGRAPHS_GB) || 20) * 1e9;

/**
 * Keeps a photograph with a talk: decoded whole and drawn anew within bounds, so that it is a picture and nothing else,
 * without place or camera.
 */
export async function addPhotograph(
  { sql }: Pick<Context, 'sql'>,
  ofId: string,
  bytes: Uint8Array,
  moment: PhotographMoment = 'take-in',
): Promise<Result<{ id: string }>> {
  if (bytes.length > MOST_BYTES)
    return refuse('This photograph is too large, even after it was made smaller.', 'photo');
  const intake = await readIntake(sql, ofId);
  const quilt = intake ? null : await readQuilt(sql, ofId);
  const isCare = !intake && !quilt && (await hasCare(sql, ofId));
  if (!quilt && !isCare && (!intake || intake.quiltId))
    return refuse('This intake is closed. Begin a new one.', 'photo');
  const of = quilt ? { quiltId: ofId } : isCare ? { careId: ofId } : { intakeId: ofId };
  const { own, bytes: all } = await countPhotographs(sql, of);
  if (own >= (quilt ? MOST_OF_A_QUILT : MOST_IN_A_TALK))
    return refuse(
      quilt
        ? `A quilt keeps ${MOST_OF_A_QUILT} photographs.`
        : `An intake keeps ${MOST_IN_A_TALK} photographs. Take one out first.`,
      'photo',
    );
  if (all + bytes.length > studioBytes())
    return refuse('The room for photographs is used up. Save the studio and make room.', 'photo');
  const drawn = await redraw(bytes);
  if (!drawn) return refuse('This is not a photograph that can be read: JPEG, PNG or WebP.', 'photo');
  const id = uuidv7();
  await insertPhotograph(sql, id, of, 'image/jpeg', drawn, moment);
  return done({ id });
}

export class RemovePhotograph {
  @FormKey() key!: string;
  @Id('This photograph is not known.') id!: string;
  /** False: it is put back. */
  @Maybe() @Yes() removed?: boolean;
}

export const removePhotograph = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<RemovePhotograph, { id: string }>(
    context,
    'remove-photograph',
    RemovePhotograph,
    input,
    async (tx, form) => {
      return (await setPhotographRemoved(tx, form.id, form.removed ?? true))
        ? done({ id: form.id })
        : refuse('This photograph is not here any more, or belongs to a quilt by now.', 'id');
    },
  );
