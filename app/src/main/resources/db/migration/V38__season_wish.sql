-- What a maker last asked of the plan of a season.
create table season_wish (
    id      integer primary key,
    version bigint  not null,
    form    clob
);
insert into season_wish values (1, 0, null);
