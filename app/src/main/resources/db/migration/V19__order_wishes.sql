-- What the maker wants of a batch's order of work, whatever it costs.
alter table batch add column order_wishes clob default '' not null;
