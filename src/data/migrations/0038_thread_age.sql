-- How old a cone is and how it was kept; what it broke at when it was pulled.
alter table cone
  add column bought_on date,
  add column storage text check (storage in ('dark', 'window')),
  add column snap_gf double precision check (snap_gf between 1 and 100000),
  add column snap_on date;

-- What wet white fabric took of a quilt's colours: 1 heavy to 5 clean.
alter table quilt add column bleed_grade integer check (bleed_grade between 1 and 5);
