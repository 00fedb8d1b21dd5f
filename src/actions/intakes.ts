import 'reflect-metadata';
import { IsObject } from 'class-validator';
import { v7 as uuidv7 } from 'uuid';
import { deletePhotograph, insertIntake, insertPhotograph, readIntake, updateIntake } from '@/data/intakes';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, Version, Whole } from './rules';
import { save } from './save';
import { check } from './validate';

export class BeginIntake {
  @FormKey() key!: string;
}

export const beginIntake = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<BeginIntake, { id: string }>(context, 'begin-intake', BeginIntake, input, async (tx) => {
    const id = uuidv7();
    await insertIntake(tx, id);
    return done({ id });
  });

const MOST_LETTERS = 60_000;

/** What was said so far, as it was typed: checked only when the talk becomes a quilt. */
export class KeepIntake {
  @FormKey() key!: string;
  @Id('This talk is not known. Begin a new one.') id!: string;
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
    ? conflict('Another window has gone on with this talk. Reload to see it; nothing was overwritten.')
    : done({ version });
}

const MOST_BYTES = 8_000_000;
/** The first bytes of the kinds of picture taken, each at its place: a WebP is a RIFF file that says so further on. */
const SIGNS: readonly { mime: string; signs: readonly { at: number; bytes: readonly number[] }[] }[] = [
  { mime: 'image/jpeg', signs: [{ at: 0, bytes: [0xff, 0xd8, 0xff] }] },
  { mime: 'image/png', signs: [{ at: 0, bytes: [0x89, 0x50, 0x4e, 0x47] }] },
  {
    mime: 'image/webp',
    signs: [
      { at: 0, bytes: [0x52, 0x49, 0x46, 0x46] },
      { at: 8, bytes: [0x57, 0x45, 0x42, 0x50] },
    ],
  },
];

/** Keeps a photograph with a talk. Its kind is told by its own bytes, not by its name. */
export async function addPhotograph(
  { sql }: Context,
  intakeId: string,
  bytes: Uint8Array,
): Promise<Result<{ id: string }>> {
  if (bytes.length > MOST_BYTES)
    return refuse('This photograph is too large, even after it was made smaller.', 'photo');
  const kind = SIGNS.find((s) => s.signs.every((x) => x.bytes.every((b, i) => bytes[x.at + i] === b)));
  if (!kind) return refuse('This is not a photograph that can be read: JPEG, PNG or WebP.', 'photo');
  const intake = await readIntake(sql, intakeId);
  if (!intake || intake.quiltId) return refuse('This talk is closed. Begin a new one.', 'photo');
  const id = uuidv7();
  await insertPhotograph(sql, id, intakeId, kind.mime, bytes);
  return done({ id });
}

export class RemovePhotograph {
  @FormKey() key!: string;
  @Id('This photograph is not known.') id!: string;
}

export const removePhotograph = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<RemovePhotograph, { id: string }>(
    context,
    'remove-photograph',
    RemovePhotograph,
    input,
    async (tx, form) => {
      await deletePhotograph(tx, form.id);
      return done({ id: form.id });
    },
  );
