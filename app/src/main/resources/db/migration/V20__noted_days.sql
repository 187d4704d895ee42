-- The days on which batches were to be done when the maker last took note of them, so that what moves since can be told.
create table noted_day (
    batch_id bigint    primary key,
    ready    date,
    noted_at timestamp not null
);

-- Batches that the maker does before all others, whatever day they are wanted.
alter table batch add column comes_first boolean default false not null;
