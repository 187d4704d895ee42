-- Tickets may be printed for a line of a batch before its bags are done.
alter table ticket_line add column batch_id bigint references batch on delete set null;
alter table ticket_line add column line_number integer;
create index ticket_line_by_batch on ticket_line (batch_id, id);
