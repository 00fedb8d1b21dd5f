-- Where a machine's needle stops and whether it ties off by itself; a third way to end a line.
alter table machine
  add column needle_stops text not null default 'both' check (needle_stops in ('both', 'up', 'down')),
  add column own_tie_off boolean not null default false;
alter table preferences drop constraint studio_ends_school_check,
  add constraint preferences_ends_school_check check (ends_school in ('lock', 'bury', 'back-tack'));
