-- What was changed or cared for at a machine, and when.
create table upkeep_done (
    id uuid primary key,
    place varchar(60) not null,
    kind varchar(10) not null,
    done_at timestamp(3) with time zone not null,
    note varchar(300) not null
);
create index upkeep_done_at_place on upkeep_done (place, kind, done_at);

-- After how much it is done, where the maker has found another than the usual.
create table upkeep_limit (
    kind varchar(10) primary key,
    limit_value decimal(8, 2) not null
);
create index bench_event_worked_at on bench_event (place, happened_at);
