-- Where a line of the shopping list stands: ordered, or here. A line without a row is still to get.
create table shopping_mark (
  line text primary key check (length(line) between 1 and 200),
  state text not null check (state in ('ordered', 'here')),
  at timestamptz not null default now()
);

-- A studio of made-up clients and quilts, to be looked at and put away again.
alter table preferences add column is_demo boolean not null default false;
update preferences set is_demo = true where name = 'Saltmarsh Longarm Room' and town = 'Fennick Quay';
