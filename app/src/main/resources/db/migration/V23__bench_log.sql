-- What happened at the bench, one touch after another; nothing in it is ever changed or taken out.
create table bench_event (
    id uuid primary key,
    number bigint generated always as identity,
    batch_id bigint not null references batch,
    line int not null,
    design_id bigint not null,
    step varchar(300) not null,
    step_name varchar(300) not null,
    name_key varchar(300) not null,
    kind varchar(20) not null,
    bags int not null,
    millis bigint not null,
    slow boolean not null,
    happened_at timestamp(3) with time zone not null,
    place varchar(60) not null,
    on_machine clob,
    of_event uuid,
    reason varchar(1000) not null
);
create index bench_event_of_batch on bench_event (batch_id, line, step);
create index bench_event_of_step on bench_event (name_key, number);
create index bench_event_at_place on bench_event (kind, place, number);
