-- What a year costs beside material and labour, as the maker typed it.
create table overhead_sheet (
    id      integer     primary key,
    version bigint      not null,
    hours   varchar(40) not null,
    lines   clob        not null
);
insert into overhead_sheet values (1, 0, '', '[]');
