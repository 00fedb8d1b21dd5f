-- What the studio record is narrowed by is found without reading every zone, cloth and card there is.
create index zone_technique on zone (technique, quilt_id);
create index zone_fabric_in on zone_fabric (fabric_id, zone_id);
create index setup_of_top on setup (top_id, zone_id);
