-- The second place to which backups are copied.
create table backup_place (
    id      integer      primary key,
    version bigint       not null,
    folder  varchar(500) not null,
    last_at timestamp(3) with time zone,
    trouble varchar(500) not null
);
insert into backup_place values (1, 0, '', null, '');
