-- What a maker wants to be told when something comes up again; it stands until it is put away.
create table note (
    id uuid primary key,
    about varchar(10) not null,
    design_id bigint references design on delete cascade,
    step varchar(300) not null,
    step_name varchar(300) not null,
    letter varchar(10) not null,
    material_id bigint references material on delete cascade,
    machine varchar(60) not null,
    batch_id bigint references batch on delete set null,
    text varchar(1000) not null,
    noted_at timestamp(3) with time zone not null,
    put_away_at timestamp(3) with time zone
);
create index note_of_design on note (design_id);
create index note_of_material on note (material_id);
create index note_by_day on note (noted_at);
