-- Overheads may also be a share of material and labour, beside what an hour bears.
alter table settings add column overhead_share numeric(9, 6) default 0 not null;
