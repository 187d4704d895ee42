-- The feet and needles that the maker has, one beside the other, as she types them; empty where she hasn't said.
alter table settings add column feet varchar(1000) default '' not null;
alter table settings add column needles varchar(1000) default '' not null;
