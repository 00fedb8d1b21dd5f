-- A talk remembers the key it was last kept under: asked again, it answers the same, and no receipt is needed for each
-- pause in typing.
alter table intake add column last_key uuid;
