-- What was paid back to the buyers of online orders, and how many of those payments the shop doesn't know of yet.
alter table shop_order add column refunds clob default '[]' not null;
alter table shop_order add column untold_refunds int default 0 not null;
create index shop_order_by_untold_refunds on shop_order (untold_refunds);
