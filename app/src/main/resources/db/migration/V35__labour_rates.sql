-- What an hour of the kinds of work is worth that are paid otherwise than usual, in minor units.
alter table settings add column labour_rates varchar(400) default '{}' not null;
