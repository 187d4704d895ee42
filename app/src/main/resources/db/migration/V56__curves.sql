-- How long 10 cm of an outline take along a template, and whether with scissors, one piece at a time.
alter table settings add column curve_seconds int default 8 not null;
alter table settings add column curves_by_scissors boolean default false not null;
