-- What is trimmed off a roll of zip tape, webbing or cord before lengths are cut from it, and the shortest left-over that is kept.
alter table settings add column end_trim_nm bigint default 0 not null;
alter table settings add column kept_length_nm bigint default 101600000 not null;
