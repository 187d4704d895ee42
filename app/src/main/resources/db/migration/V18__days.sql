-- How a day at the bench goes, and days on which there is more or less time than usual.
alter table settings add column day_begins_minute int default 540 not null;
alter table settings add column at_one_go_minutes int default 0 not null;
alter table settings add column pause_minutes int default 15 not null;
alter table settings add column preparing_minutes int default 0 not null;
alter table settings add column clearing_minutes int default 0 not null;
alter table settings add column people int default 1 not null;

create table other_day (
    on_day  date         primary key,
    minutes int          not null,
    note    varchar(120) not null
);
