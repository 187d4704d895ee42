-- Whether the workroom's other devices may come in, and with which passphrase; there is one row.
create table door (
    id int primary key,
    passphrase_hash varchar(100),
    open boolean not null
);
insert into door (id, passphrase_hash, open) values (1, null, false);

-- The devices that came in; what they carry is known here only by its hash.
create table door_pass (
    token_hash varchar(64) primary key,
    device varchar(200) not null,
    came_at timestamp(3) with time zone not null,
    seen_at timestamp(3) with time zone not null
);
