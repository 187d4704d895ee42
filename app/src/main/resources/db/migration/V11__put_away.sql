-- What the maker doesn't use any more: kept with its history, and offered nowhere until it is taken back.
alter table material add column put_away boolean default false not null;
alter table design add column put_away boolean default false not null;
