-- Copies of the whole studio that were made, and whether the newest could be read back.
create table backup_made (
  file text primary key check (length(file) between 1 and 300),
  at timestamptz not null default now(),
  bytes bigint not null check (bytes >= 0),
  verified_at timestamptz,
  problem text not null default '' check (length(problem) <= 2000)
);
