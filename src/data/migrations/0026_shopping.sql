-- Where a line of the shopping list stands: ordered, or here. A line without a row is still to get.
create table shopping_mark (
  line text primary key check (length(line) between 1 and 200),
  state text not null check (state in ('ordered', 'here')),
  at timestamptz not null default now()
);
