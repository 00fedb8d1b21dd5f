import type { Role } from '@/core/fields/lists';
import type { Sql } from './sql';

export interface Person {
  id: string;
  name: string;
  role: Role;
  namedAt: Date;
  version: number;
}

/** Everybody who is of the studio now, the owner first. */
export const readPeople = (
  sql: Sql,
): Promise<(Person & { hasPassphrase: boolean; lastSeenAt: Date | null })[]> => sql`
  select p.id, p.name, p.role, p.named_at, p.version, p.passphrase is not null as has_passphrase,
         (select max(s.last_seen_at) from session s where s.person_id = p.id) as last_seen_at
  from person p where p.left_at is null order by p.role = 'owner' desc, p.named_at, p.id`;

/** A person by name, with what her passphrase is kept as. */
export async function readByName(
  sql: Sql,
  name: string,
): Promise<(Pick<Person, 'id' | 'name' | 'role'> & { passphrase: string | null }) | null> {
  const [row] = await sql<(Pick<Person, 'id' | 'name' | 'role'> & { passphrase: string | null })[]>`
    select id, name, role, passphrase from person where lower(btrim(name)) = lower(btrim(${name})) and left_at is null`;
  return row ?? null;
}

/** The only person there ever was in the studio, its owner; null once a second was named, whether she is still there or not. */
export async function readAlone(
  sql: Sql,
): Promise<(Pick<Person, 'id' | 'name' | 'role'> & { passphrase: string | null }) | null> {
  const rows = await sql<(Pick<Person, 'id' | 'name' | 'role'> & { passphrase: string | null })[]>`
    select id, name, role, passphrase from person limit 2`;
  return rows.length === 1 ? rows[0]! : null;
}

export const insertPerson = (
  sql: Sql,
  p: { id: string; name: string; role: Role; passphrase: string | null },
) => sql`
  insert into person (id, name, role, passphrase) values (${p.id}, ${p.name}, ${p.role}, ${p.passphrase})`;

/** Changes what a person is called or is to the studio; false when changed meanwhile. */
export async function updatePerson(
  sql: Sql,
  id: string,
  p: { name: string; role: Role },
  version: number,
): Promise<boolean> {
  const rows = await sql`
    update person set name = ${p.name}, role = ${p.role}, version = version + 1
    where id = ${id} and version = ${version} and left_at is null returning id`;
  return rows.length === 1;
}

/** A person leaves: her sessions end, what she did stays hers. False when changed meanwhile. */
export async function removePerson(sql: Sql, id: string, version: number, at: Date): Promise<boolean> {
  const rows = await sql`
    update person set left_at = ${at}, passphrase = null, version = version + 1
    where id = ${id} and version = ${version} and left_at is null returning id`;
  if (rows.length === 0) return false;
  await sql`update session set ended_at = ${at} where person_id = ${id} and ended_at is null`;
  return true;
}

export const setPassphrase = (sql: Sql, id: string, hash: string) => sql`
  update person set passphrase = ${hash}, version = version + 1 where id = ${id} and left_at is null`;

export async function readPassphrase(sql: Sql, id: string): Promise<string | null> {
  const [row] = await sql<{ passphrase: string | null }[]>`select passphrase from person where id = ${id}`;
  return row?.passphrase ?? null;
}

/** Someone signed in, somewhere. */
export interface Session {
  id: string;
  personId: string;
  person: string;
  device: string | null;
  deviceId: string | null;
  agent: string;
  address: string;
  madeAt: Date;
  lastSeenAt: Date;
}

/** Who is signed in now, the last seen first. */
export const readSessions = (sql: Sql): Promise<Session[]> => sql<Session[]>`
  select s.id, s.person_id, p.name as person, d.name as device, s.device_id, s.agent, s.address, s.made_at, s.last_seen_at
  from session s join person p on p.id = s.person_id left join device d on d.id = s.device_id
  where s.ended_at is null and s.expires_at > now() order by s.last_seen_at desc limit 200`;

export const insertSession = (
  sql: Sql,
  s: {
    id: string;
    token: string;
    personId: string;
    deviceId: string | null;
    agent: string;
    address: string;
    expiresAt: Date;
  },
) => sql`
  insert into session (id, token, person_id, device_id, agent, address, expires_at)
  values (${s.id}, ${s.token}, ${s.personId}, ${s.deviceId}, ${s.agent.slice(0, 300)}, ${s.address.slice(0, 100)}, ${s.expiresAt})`;

/** Seen at most so often that it is written, seconds. */
const SEEN_EVERY_S = 60;

/** Who a token stands for now; null for one that is not known, ran out, or was ended. */
export async function readSession(
  sql: Sql,
  token: string,
): Promise<{ id: string; deviceId: string | null; person: Pick<Person, 'id' | 'name' | 'role'> } | null> {
  const [row] = await sql<
    { id: string; deviceId: string | null; personId: string; name: string; role: Role; stale: boolean }[]
  >`
    select s.id, s.device_id, s.person_id, p.name, p.role,
           s.last_seen_at < now() - make_interval(secs => ${SEEN_EVERY_S}) as stale
    from session s join person p on p.id = s.person_id left join device d on d.id = s.device_id
    where s.token = ${token} and s.ended_at is null and s.expires_at > now() and p.left_at is null
      and (d.id is null or d.ended_at is null)`;
  if (!row) return null;
  if (row.stale) {
    await sql`update session set last_seen_at = now() where id = ${row.id}`;
    if (row.deviceId) await sql`update device set last_seen_at = now() where id = ${row.deviceId}`;
  }
  return { id: row.id, deviceId: row.deviceId, person: { id: row.personId, name: row.name, role: row.role } };
}

/** Ends a session; of this person only, where one is named. */
export async function endSession(sql: Sql, id: string, personId: string | null, at: Date): Promise<boolean> {
  const rows = await sql`
    update session set ended_at = ${at} where id = ${id} and ended_at is null
      ${personId === null ? sql`` : sql`and person_id = ${personId}`} returning id`;
  return rows.length === 1;
}
export const endSessionOf = (sql: Sql, token: string) =>
  sql`update session set ended_at = now() where token = ${token} and ended_at is null`;

export interface Invitation {
  id: string;
  name: string;
  role: Role;
  madeAt: Date;
  expiresAt: Date;
}

/** Invitations that still work. */
export const readInvitations = (sql: Sql): Promise<Invitation[]> => sql<Invitation[]>`
  select id, name, role, made_at, expires_at from invitation
  where used_at is null and taken_back_at is null and expires_at > now() order by made_at`;

export const insertInvitation = (
  sql: Sql,
  i: { id: string; token: string; name: string; role: Role; expiresAt: Date },
) => sql`
  insert into invitation (id, token, name, role, expires_at) values (${i.id}, ${i.token}, ${i.name}, ${i.role}, ${i.expiresAt})`;

export async function takeBackInvitation(sql: Sql, id: string): Promise<boolean> {
  const rows = await sql`
    update invitation set taken_back_at = now() where id = ${id} and used_at is null and taken_back_at is null returning id`;
  return rows.length === 1;
}

/** What became of a link that works once. */
export type LinkState = 'open' | 'used' | 'late' | 'unknown';

export async function readInvitation(
  sql: Sql,
  token: string,
): Promise<{ state: LinkState; name: string; role: Role } | null> {
  const [row] = await sql<{ state: LinkState; name: string; role: Role }[]>`
    select name, role, case when used_at is not null then 'used' when taken_back_at is not null then 'unknown'
      when expires_at <= now() then 'late' else 'open' end as state
    from invitation where token = ${token}`;
  return row ?? null;
}

/** Uses an invitation up; whose it was, or null when somebody else was first. */
export async function useInvitation(sql: Sql, token: string): Promise<{ name: string; role: Role } | null> {
  const [row] = await sql<{ name: string; role: Role }[]>`
    update invitation set used_at = now()
    where token = ${token} and used_at is null and taken_back_at is null and expires_at > now() returning name, role`;
  return row ?? null;
}

export interface Device {
  id: string;
  name: string;
  person: string;
  pairedAt: Date;
  lastSeenAt: Date;
  version: number;
}

/** Devices that are paired, the last seen first. */
export const readDevices = (sql: Sql): Promise<Device[]> => sql<Device[]>`
  select d.id, d.name, p.name as person, d.paired_at, d.last_seen_at, d.version
  from device d join person p on p.id = d.person_id where d.ended_at is null order by d.last_seen_at desc`;

/** Whether a device is one that was paired, and still is. */
export async function readDeviceState(sql: Sql, id: string): Promise<'paired' | 'ended' | null> {
  const [row] = await sql<
    { ended: boolean }[]
  >`select ended_at is not null as ended from device where id = ${id}`;
  return row ? (row.ended ? 'ended' : 'paired') : null;
}

export async function renameDevice(sql: Sql, id: string, name: string, version: number): Promise<boolean> {
  const rows = await sql`
    update device set name = ${name}, version = version + 1 where id = ${id} and version = ${version} and ended_at is null returning id`;
  return rows.length === 1;
}

/** A device is lost: it signs in no more; what it had sent stays. */
export async function endDevice(sql: Sql, id: string, at: Date): Promise<boolean> {
  const rows =
    await sql`update device set ended_at = ${at} where id = ${id} and ended_at is null returning id`;
  if (rows.length === 0) return false;
  await sql`update session set ended_at = ${at} where device_id = ${id} and ended_at is null`;
  return true;
}

export const insertPairing = (
  sql: Sql,
  p: { id: string; token: string; name: string; personId: string; expiresAt: Date },
) => sql`
  insert into pairing (id, token, name, person_id, expires_at) values (${p.id}, ${p.token}, ${p.name}, ${p.personId}, ${p.expiresAt})`;

export async function readPairing(
  sql: Sql,
  token: string,
): Promise<{ state: LinkState; name: string } | null> {
  const [row] = await sql<{ state: LinkState; name: string }[]>`
    select name, case when used_at is not null then 'used' when expires_at <= now() then 'late' else 'open' end as state
    from pairing where token = ${token}`;
  return row ?? null;
}

/** Uses a pairing up: the device it makes, or null when it was used or ran out. */
export async function usePairing(
  sql: Sql,
  token: string,
  deviceId: string,
): Promise<{ personId: string; name: string } | null> {
  const [row] = await sql<{ id: string; personId: string; name: string }[]>`
    update pairing set used_at = now() where token = ${token} and used_at is null and expires_at > now()
    returning id, person_id, name`;
  if (!row) return null;
  await sql`insert into device (id, name, person_id) values (${deviceId}, ${row.name}, ${row.personId})`;
  await sql`update pairing set device_id = ${deviceId} where id = ${row.id}`;
  return row;
}
