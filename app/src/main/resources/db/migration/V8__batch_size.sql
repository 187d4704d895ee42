-- What the size is known by in its design, whatever it is called; batches from before go by the name.
alter table batch add column size_key varchar(60);
