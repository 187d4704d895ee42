-- Bags that were chosen otherwise than usual are a kind of their own: by the keys of the alternatives, and in words.
alter table finished_goods add column choice_key varchar(400) default '' not null;
alter table finished_goods add column choice_words varchar(1000) default '' not null;
