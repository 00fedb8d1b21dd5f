-- Pieces of batting and backing that are there, as they are written down.
alter table prepared
  add column batting_here text not null default '' check (length(batting_here) <= 300),
  add column backing_here text not null default '' check (length(backing_here) <= 300);
