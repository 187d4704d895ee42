-- What was worked at a place since a day is summed from the index alone, however long the log is.
drop index bench_event_worked_at;
create index bench_event_worked_at on bench_event (kind, place, happened_at, millis);
