-- A key stands for one filling of a form: what was sent is kept as a hash, so that a mended form is told.
alter table receipt add column body text;
