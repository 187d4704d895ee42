-- What came in last at the bench is looked for by its number.
create index bench_event_by_number on bench_event (number);
