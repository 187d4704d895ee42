-- What finished bags bear of overheads, and those that were sold: kept from now on; before, it was among material.
alter table finished_goods add column overhead_minor bigint default 0 not null;
alter table sale_line add column overhead_minor bigint default 0 not null;

-- How long a finished batch was planned to take, and took; absent where nothing of it was timed.
alter table batch add column planned_seconds bigint;
alter table batch add column took_seconds bigint;

-- What was remarked of the figures and put away, with when.
create table remark_away (
    remark      varchar(600) primary key,
    put_away_at timestamp(3) with time zone not null
);
