-- A cloth's colour is not known until someone gives it; what it is there for, whether it is sewn over, how busy it is.
alter table zone_fabric
  alter column hex drop not null,
  add column role text not null default 'ground' check (role in ('ground', 'print', 'motif')),
  add column sewn_over boolean not null default true,
  add column busyness smallint check (busyness between 0 and 3);
alter table fabric add column busyness smallint check (busyness between 0 and 3);
-- The speed the hands should keep, beside what the needle can follow.
alter table setup add column hand_in_per_s double precision check (hand_in_per_s > 0 and hand_in_per_s <= 60);
alter table quilt add column wash text check (wash in ('gentle', 'tumble'));
