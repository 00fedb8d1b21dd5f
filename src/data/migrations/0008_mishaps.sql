-- The studio's own log of what went wrong: unexpected errors, with a number a person can quote.
create table mishap (
  n bigint generated always as identity primary key,
  at timestamptz not null default now(),
  place text not null,
  message text not null,
  stack text not null default ''
);
