-- Everything that happened is told by day, the newest first.
create index stock_movement_by_day on stock_movement (moved_at);
create index goods_movement_by_day on goods_movement (moved_at);
create index batch_by_day_planned on batch (created_at);
create index batch_by_day_cut on batch (cut_at);
create index batch_by_day_finished on batch (finished_at);
