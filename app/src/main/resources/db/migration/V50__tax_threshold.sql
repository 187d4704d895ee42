-- From how much that is sold in a year the maker has to ask for sales tax; null where she hasn't said.
alter table settings add column tax_threshold_minor bigint;
