-- Who ordered online, to find the order by: beside what the shop told of the buyer, and forgotten with it.
alter table shop_order add column buyer_name varchar(1000) default '' not null;
update shop_order
set buyer_name = coalesce(left(trim(both '"' from cast((buyer format json)."name" as varchar)), 1000), '')
where buyer is not null;
