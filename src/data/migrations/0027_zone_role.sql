-- What a zone is in its quilt: moves what is offered to quilt in it. Not said: by its name.
alter table zone add column role text
  check (role in ('ground', 'border', 'sashing', 'block', 'motif', 'space', 'whole'));
