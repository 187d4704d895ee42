-- Files that are entered part by part, so that one that was broken off goes on where it stopped.
create table taken_file (
    mark varchar(32) primary key,
    list varchar(40) not null,
    lines_in int not null check (lines_in >= 0),
    lines_total int not null check (lines_total >= lines_in),
    touched_at timestamp   not null
);
