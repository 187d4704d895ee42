-- How long it takes to change what is on a machine, and to go to another station.
alter table settings add column needle_seconds int default 120 not null;
alter table settings add column thread_seconds int default 90 not null;
alter table settings add column foot_seconds int default 48 not null;
alter table settings add column stitch_seconds int default 18 not null;
alter table settings add column walk_seconds int default 24 not null;
