-- Cloth that isn't washed before it is cut: its pieces are cut larger.
alter table material add column shrinks_after_cutting boolean default false not null;
