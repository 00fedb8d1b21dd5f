-- Raw readings of a run, where they were asked for: as they came, compressed, piece by piece.
create table link_raw (
  run_id uuid not null references link_run,
  n integer not null,
  lines integer not null check (lines > 0),
  gz bytea not null check (octet_length(gz) <= 1000000),
  primary key (run_id, n)
);
