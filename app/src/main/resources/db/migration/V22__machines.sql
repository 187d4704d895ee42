-- The machines that the maker has, as a document; and how many numbers were given to machines, since none is given twice.
alter table settings add column machines clob default '[]' not null;
alter table settings add column machine_numbers int default 0 not null;
-- How long it takes to change more of what is on a machine or at the press, and to turn to the machine beside it.
alter table settings add column bobbin_seconds int default 40 not null;
alter table settings add column dial_seconds int default 6 not null;
alter table settings add column heat_seconds int default 180 not null;
alter table settings add column pressing_seconds int default 12 not null;
alter table settings add column turn_seconds int default 6 not null;
