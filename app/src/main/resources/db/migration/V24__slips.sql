-- What went wrong at the bench: how it ended, what it used up, and which checks were confirmed before a bag was counted.
alter table bench_event add column outcome varchar(10);
alter table bench_event add column used_up clob;
alter table bench_event add column confirmed clob;
create index bench_event_by_kind on bench_event (kind, happened_at);
create index bench_event_by_day on bench_event (happened_at, number);
create index bench_event_about on bench_event (of_event);

-- With which movements a slip took material from the shelf, so that a slip that was none can give it back.
create table slip_movement (
    event_id uuid not null references bench_event,
    movement_id bigint not null references stock_movement,
    primary key (event_id, movement_id)
);
