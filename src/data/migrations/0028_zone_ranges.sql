-- What the form refuses of a zone and of a fault's place, the table refuses too.
update zone set smallest_radius_in = least(100, greatest(0.01, smallest_radius_in)), spacing_in = greatest(0.05, spacing_in),
  length_in = least(1000000, greatest(0.1, length_in));
alter table zone
  add constraint zone_spacing_range check (spacing_in between 0.05 and 200),
  add constraint zone_radius_range check (smallest_radius_in between 0.01 and 100),
  add constraint zone_length_range check (length_in between 0.1 and 1000000);
update fault set x_in = least(10000, greatest(-1000, x_in)), y_in = least(10000, greatest(-1000, y_in));
alter table fault
  add constraint fault_x_range check (x_in between -1000 and 10000),
  add constraint fault_y_range check (y_in between -1000 and 10000);
