-- Several people: who she is to the studio, her passphrase as a hash, and when she left.
alter table person
  add column role text not null default 'hand' check (role in ('owner', 'hand', 'guest')),
  add column passphrase text check (passphrase like 'scrypt:%'),
  add column named_at timestamptz not null default now(),
  add column left_at timestamptz,
  add column version integer not null default 1;
update person set role = 'owner' where id = '00000000-0000-7000-8000-000000000001';
create unique index person_name on person (lower(btrim(name))) where left_at is null;

-- Nobody can leave a studio without an owner.
create function an_owner_stays() returns trigger language plpgsql as $$
begin
  perform pg_advisory_xact_lock(hashtext('person owner'));
  if not exists (select from person where role = 'owner' and left_at is null) then
    raise exception 'A studio keeps an owner.' using errcode = 'check_violation', constraint = 'an_owner_stays';
  end if;
  return null;
end $$;
create constraint trigger an_owner_stays after update or delete on person deferrable initially immediate
  for each row execute function an_owner_stays();

-- A tablet or phone that was let in by a code shown on the computer.
create table device (
  id uuid primary key,
  name text not null check (length(btrim(name)) between 1 and 60),
  person_id uuid not null references person (id),
  paired_at timestamptz not null default now(),
  last_seen_at timestamptz not null default now(),
  ended_at timestamptz,
  version integer not null default 1
);

-- Who is signed in, where: the token is kept as a hash and is nothing by itself.
create table session (
  id uuid primary key,
  token text not null unique check (length(token) = 64),
  person_id uuid not null references person (id),
  device_id uuid references device (id),
  agent text not null default '' check (length(agent) <= 300),
  address text not null default '' check (length(address) <= 100),
  made_at timestamptz not null default now(),
  last_seen_at timestamptz not null default now(),
  expires_at timestamptz not null,
  ended_at timestamptz
);
create index session_of on session (person_id, last_seen_at desc) where ended_at is null;

-- Links that work once: an invitation for two days, a code to pair a device for ten minutes.
create table invitation (
  id uuid primary key,
  token text not null unique check (length(token) = 64),
  name text not null check (length(btrim(name)) between 1 and 120),
  role text not null check (role in ('owner', 'hand', 'guest')),
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz,
  taken_back_at timestamptz,
  by_person uuid not null default acting_person() references person (id)
);
create table pairing (
  id uuid primary key,
  token text not null unique check (length(token) = 64),
  name text not null check (length(btrim(name)) between 1 and 60),
  person_id uuid not null references person (id),
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz,
  device_id uuid references device (id)
);

-- Tries at the door, counted for every process alike.
create table throttle (
  key varchar(255) primary key,
  points integer not null default 0,
  expire bigint
);
