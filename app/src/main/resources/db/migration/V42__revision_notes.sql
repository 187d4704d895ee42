-- What the maker says of a change of a design.
alter table design_revision add column note varchar(500) default '' not null;
alter table design_revision add column version bigint default 0 not null;
