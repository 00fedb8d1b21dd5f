-- What the models alone expect is kept beside the first guess, so that what a search taught is never taught twice; a
-- search can be left out of what is learned, or put back.
alter table setup add column ratio_model double precision check (ratio_model > 0);
alter table proof add column left_out text check (left_out in ('dropped', 'kept'));
insert into log_mark (log) values ('proof');
create trigger proof_changed after insert or update or delete on proof
  for each statement execute function log_changed();
