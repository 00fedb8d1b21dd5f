-- What is learned is fitted anew only when its log has changed: the mark changes with every change of the log.
create table log_mark (
  log text primary key,
  mark uuid not null default gen_random_uuid()
);

insert into log_mark (log) values ('step_sewn');

create function log_changed() returns trigger language plpgsql as $$
begin
  insert into log_mark (log) values (tg_table_name)
  on conflict (log) do update set mark = gen_random_uuid();
  return null;
end $$;

create trigger step_sewn_changed after insert or update or delete on step_sewn
  for each statement execute function log_changed();
