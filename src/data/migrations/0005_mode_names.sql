-- Regulation modes under names of our own: idling (the needle keeps turning slowly when the hands pause), resting (it
-- stops with the hands), manual.
alter table studio drop constraint studio_mode_rule_check;
alter table machine drop constraint machine_modes_check;
alter table setup drop constraint setup_mode_check;
update studio set mode_rule = case mode_rule when 'cruise' then 'idling' when 'precision' then 'resting' else mode_rule end;
update machine set modes = array_replace(array_replace(modes, 'cruise', 'idling'), 'precision', 'resting');
update setup set mode = case mode when 'cruise' then 'idling' when 'precision' then 'resting' else mode end;
alter table studio add constraint studio_mode_rule_check
  check (mode_rule in ('by-technique', 'idling', 'resting', 'manual'));
alter table machine add constraint machine_modes_check
  check (cardinality(modes) > 0 and modes <@ array['idling', 'resting', 'manual']);
alter table setup add constraint setup_mode_check check (mode in ('idling', 'resting', 'manual'));
