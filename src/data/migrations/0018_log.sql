-- What happens at the machine: a list of entries that are only ever added, in the order they became safe here.
create table log_entry (
  id uuid primary key,
  cursor bigint generated always as identity unique,
  device uuid not null,
  quilt_id uuid not null references quilt,
  kind text not null check (kind in ('step-begun', 'step-paused', 'step-resumed', 'step-done', 'advanced', 'bobbin-changed',
    'needle-changed', 'thread-changed', 'width-measured', 'back-checked', 'fault', 'fault-mended', 'note', 'undone')),
  at timestamptz not null,
  received_at timestamptz not null default now(),
  body jsonb not null default '{}' check (octet_length(body::text) <= 20000),
  by_person uuid not null default acting_person() references person (id)
);
create index log_entry_quilt on log_entry (quilt_id, cursor);
create function only_added() returns trigger language plpgsql as $$
begin
  raise exception 'The log is only added to.' using errcode = 'restrict_violation';
end $$;
create trigger only_added before update or delete on log_entry for each row execute function only_added();
create function log_told() returns trigger language plpgsql as $$
begin
  perform pg_notify('log_entry', new.quilt_id::text);
  return null;
end $$;
create trigger log_told after insert on log_entry for each row execute function log_told();

-- A step that is taken back gives its metres back and its wear to the needle.
alter table step_sewn add column worn double precision not null default 0;
alter table cone_use add column step_id uuid;
create index cone_use_step on cone_use (step_id) where step_id is not null;
