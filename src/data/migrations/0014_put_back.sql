-- What is taken away can be brought back: a photograph taken out of a talk stays a week.
alter table photograph add column removed_at timestamptz;
