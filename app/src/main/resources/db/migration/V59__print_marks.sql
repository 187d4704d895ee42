-- Which parts of a cloth's print pieces may have to show, and where in it they are; nothing where none is marked.
alter table material add column print_marks clob;
