-- Private orders go on: bags are handed over and paid, or the order is cancelled; and who asked can be forgotten.
alter table customer_order add column channel_id bigint;
alter table customer_order add column state varchar(20) default 'AGREED' not null;
alter table customer_order add column closed_on date;
alter table customer_order add column reason varchar(500) default '' not null;
alter table customer_order add column sale_id uuid;
alter table customer_order add column tender varchar(20);
alter table customer_order add column paid_minor bigint;
alter table customer_order add column deposit_kept boolean default false not null;
alter table customer_order add column forgotten boolean default false not null;
create index customer_order_by_state on customer_order (state, due_on);
create index customer_order_by_quote on customer_order (quote_id);

-- What was said with the customer, and when.
create table order_note (
    id         uuid          primary key,
    order_id   bigint        not null references customer_order on delete cascade,
    written_at timestamp(3) with time zone not null,
    text       varchar(1000) not null
);
create index order_note_by_order on order_note (order_id, written_at);

-- Who asked for a quote can be forgotten.
alter table quote add column forgotten boolean default false not null;
