-- A photo of how a step of a design is done; a file among the pictures.
create table step_photo (
    design_id bigint not null references design on delete cascade,
    step varchar(300) not null,
    photo varchar(60) not null,
    primary key (design_id, step)
);
