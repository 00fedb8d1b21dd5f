-- Who did something, by name; nothing while the studio is one person: then it goes without saying.
create function who(by_person uuid) returns text language sql stable as $$
  select case when (select count(*) from person) > 1 then (select p.name from person p where p.id = by_person) end
$$;
