-- What was learnt with each revision of a design is added up from here alone, without looking at each event.
create index bench_event_of_design on bench_event (design_id, kind, batch_id, line, step, bags, millis);

-- How much cloth was cut since the blade was changed.
create index stock_movement_of_kind on stock_movement (kind, of_pieces, moved_at, material_id, change_value);
