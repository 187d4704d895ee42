-- What was chosen for a line of a batch where its design leaves something open, by the keys of its choices; the usual isn't kept.
alter table batch_line add column picks clob default '{}' not null;
