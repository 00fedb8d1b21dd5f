import 'reflect-metadata';
import { v7 as uuidv7 } from 'uuid';
import {
  endDevice as endTheDevice,
  endSession as endTheSession,
  insertInvitation,
  insertPairing,
  readPassphrase,
  readPeople,
  removePerson as removeThePerson,
  renameDevice as renameTheDevice,
  setPassphrase as keepPassphrase,
  takeBackInvitation,
  updatePerson,
} from '@/data/people';
import { ROLES, type Role } from '@/core/fields/lists';
import { hashPassphrase, isPassphrase, keptToken, LEAST_LETTERS, newToken } from '@/serve/passphrase';
import type { Context } from './context';
import { conflict, done, refuse, type Result } from './result';
import { FormKey, Id, Maybe, OneOf, Text, Version, Words } from './rules';
import { MEANWHILE, type Meanings, save, saveUnkept } from './save';

const INVITED_H = 48;
const PAIRED_MIN = 10;
const NAMES: Meanings = {
  person_name: ['name', 'Somebody of this studio already has this name.'],
  an_owner_stays: ['role', 'A studio keeps an owner: make somebody else owner first.'],
};
const NOT_KNOWN = 'This person is not of the studio any more. Reload the page.';
const ROLE = () => OneOf(ROLES, 'Owner, hand or guest.');

export class InvitePerson {
  @FormKey() key!: string;
  @Words(120, 'Give the name she signs in with.') name!: string;
  @ROLE() role!: Role;
}

/** A link that lets one person in, once, within two days. It is told once and kept as a hash. */
export const invitePerson = (
  context: Context,
  input: unknown,
): Promise<Result<{ path: string; expiresAt: string; name: string }>> =>
  saveUnkept<InvitePerson, { path: string; expiresAt: string; name: string }>(
    context,
    InvitePerson,
    input,
    async (tx, { name, role }) => {
      if ((await readPassphrase(tx, context.actor.id)) === null)
        return refuse(
          'Set a passphrase of your own first: from the second person on everyone signs in.',
          'name',
        );
      if ((await readPeople(tx)).some((p) => p.name.trim().toLowerCase() === name.trim().toLowerCase()))
        return refuse(NAMES.person_name![1], 'name');
      const token = newToken();
      const expiresAt = new Date(context.now.getTime() + INVITED_H * 3_600_000);
      await insertInvitation(tx, {
        id: uuidv7(),
        token: keptToken(token),
        name: name.trim(),
        role,
        expiresAt,
      });
      return done({ path: `/invited/${token}`, expiresAt: expiresAt.toISOString(), name: name.trim() });
    },
  );

export class RevokeInvitation {
  @FormKey() key!: string;
  @Id('This invitation is not open any more.') id!: string;
}
export const revokeInvitation = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<RevokeInvitation, { id: string }>(
    context,
    'revoke-invitation',
    RevokeInvitation,
    input,
    async (tx, { id }) =>
      (await takeBackInvitation(tx, id))
        ? done({ id })
        : refuse('This invitation is not open any more.', 'id'),
  );

export class EditPerson {
  @FormKey() key!: string;
  @Id(NOT_KNOWN) id!: string;
  @Version() version!: number;
  @Words(120, 'Give the name she signs in with.') name!: string;
  @ROLE() role!: Role;
}
/** Changes what a person is called, or what she is to the studio. */
export const editPerson = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<EditPerson, { id: string }>(
    context,
    'edit-person',
    EditPerson,
    input,
    async (tx, { id, version, name, role }) =>
      (await updatePerson(tx, id, { name: name.trim(), role }, version)) ? done({ id }) : conflict(MEANWHILE),
    NAMES,
  );

export class RemovePerson {
  @FormKey() key!: string;
  @Id(NOT_KNOWN) id!: string;
  @Version() version!: number;
}
/** A person leaves: she is signed out everywhere; what she sewed and wrote stays hers. */
export const removePerson = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<RemovePerson, { id: string }>(
    context,
    'remove-person',
    RemovePerson,
    input,
    async (tx, { id, version }) =>
      (await removeThePerson(tx, id, version, context.now)) ? done({ id }) : conflict(MEANWHILE),
    NAMES,
  );

export class SetPassphrase {
  @FormKey() key!: string;
  /** The one that holds now; left out where there is none yet. */
  @Maybe() @Text(200) now?: string | null;
  @Words(200, `Give a passphrase of ${LEAST_LETTERS} letters or more.`) words!: string;
}
/** Sets one's own passphrase; the one that holds is asked for. */
export const setPassphrase = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  saveUnkept<SetPassphrase, { id: string }>(context, SetPassphrase, input, async (tx, form) => {
    const kept = await readPassphrase(tx, context.actor.id);
    if (kept !== null && !(await isPassphrase(form.now ?? '', kept)))
      return refuse('That is not your passphrase as it is now.', 'now');
    if (form.words.length < LEAST_LETTERS)
      return refuse(`Give a passphrase of ${LEAST_LETTERS} letters or more.`, 'words');
    await keepPassphrase(tx, context.actor.id, await hashPassphrase(form.words));
    return done({ id: context.actor.id });
  });

export class EndSession {
  @FormKey() key!: string;
  @Id('This session is over already.') id!: string;
}
/** Signs somebody out somewhere at once: the owner anybody, everyone herself. */
export const endSession = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<EndSession, { id: string }>(context, 'end-session', EndSession, input, async (tx, { id }) =>
    (await endTheSession(tx, id, context.actor.role === 'owner' ? null : context.actor.id, context.now))
      ? done({ id })
      : refuse('This session is over already, or is not yours.', 'id'),
  );

export class PairDevice {
  @FormKey() key!: string;
  @Words(60, 'Give the device a name, such as “tablet at the Stand”.') name!: string;
}
/** A code that lets one device in as whoever asks for it, once, within ten minutes. */
export const pairDevice = (
  context: Context,
  input: unknown,
): Promise<Result<{ path: string; expiresAt: string }>> =>
  saveUnkept<PairDevice, { path: string; expiresAt: string }>(
    context,
    PairDevice,
    input,
    async (tx, { name }) => {
      const token = newToken();
      const expiresAt = new Date(context.now.getTime() + PAIRED_MIN * 60_000);
      await insertPairing(tx, {
        id: uuidv7(),
        token: keptToken(token),
        name: name.trim(),
        personId: context.actor.id,
        expiresAt,
      });
      return done({ path: `/pair/${token}`, expiresAt: expiresAt.toISOString() });
    },
  );

export class RenameDevice {
  @FormKey() key!: string;
  @Id('This device is not paired any more.') id!: string;
  @Version() version!: number;
  @Words(60, 'Give the device a name.') name!: string;
}
export const renameDevice = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<RenameDevice, { id: string }>(
    context,
    'rename-device',
    RenameDevice,
    input,
    async (tx, { id, version, name }) =>
      (await renameTheDevice(tx, id, name.trim(), version)) ? done({ id }) : conflict(MEANWHILE),
  );

export class EndDevice {
  @FormKey() key!: string;
  @Id('This device is not paired any more.') id!: string;
}
/** A device is lost: it comes in no more. What it had sent stays. */
export const endDevice = (context: Context, input: unknown): Promise<Result<{ id: string }>> =>
  save<EndDevice, { id: string }>(context, 'end-device', EndDevice, input, async (tx, { id }) =>
    (await endTheDevice(tx, id, context.now))
      ? done({ id })
      : refuse('This device is not paired any more.', 'id'),
  );
