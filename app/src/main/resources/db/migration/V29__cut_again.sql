-- Pieces that were cut once more because of a slip, after all cloth of the batch was cut.
create table slip_recut (
    event_id uuid not null references bench_event,
    material_id bigint not null references material,
    bags integer not null,
    minor bigint not null,
    says varchar(2000) not null,
    primary key (event_id, material_id)
);
