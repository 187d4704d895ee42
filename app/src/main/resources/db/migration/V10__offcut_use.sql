-- How likely it is that small and large offcuts are used some day, as shares; and the mark before decimals.
alter table settings add column offcut_use_small decimal(9,6) default 0.3 not null;
alter table settings add column offcut_use_large decimal(9,6) default 0.7 not null;
alter table settings add column decimal_mark varchar(10) default 'POINT' not null;
