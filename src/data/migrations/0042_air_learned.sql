-- What was noted of the air bears on what tests teach: what is kept in mind of it is read anew.
create function air_noted() returns trigger language plpgsql as $$
begin
  insert into log_mark (log) values ('proof') on conflict (log) do update set mark = gen_random_uuid();
  return null;
end $$;
create trigger air_noted after insert or update or delete on air_note for each statement execute function air_noted();
