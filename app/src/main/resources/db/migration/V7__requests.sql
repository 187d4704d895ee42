-- What a request asked for, so that its id used again for another thing is refused.
alter table handled_request add column mark varchar(40);
