-- Each kind of guest at the door has a passphrase of its own; whoever came in before came in as the maker.
create table door_key (
    role varchar(10) primary key,
    passphrase_hash varchar(100) not null
);
insert into door_key (role, passphrase_hash)
    select 'MAKER', passphrase_hash from door where passphrase_hash is not null;
alter table door drop column passphrase_hash;
alter table door_pass add column role varchar(10) default 'MAKER' not null;
