-- A price may be set for a size in one cloth; without a cloth it is set for all of them.
alter table set_price add column cloth_id bigint;
