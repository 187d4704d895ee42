-- What a trim or a notion is: zip tape, cord, a snap, a ring. Empty where nobody said.
alter table material add column ware varchar(30);
