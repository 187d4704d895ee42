-- Some sorts of bags are priced by a school of their own.
alter table settings add column schools_by_sort clob default '{}' not null;
