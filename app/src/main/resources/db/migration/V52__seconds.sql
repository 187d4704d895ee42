-- Bags that turned out to be seconds after they were done: the lot from which they were parted.
alter table finished_goods add column from_goods_id bigint;
create index finished_goods_from on finished_goods (from_goods_id);
