-- The number of the form a revision's edit and state are written in. All that came before is in the first, and so is what a
-- version writes that does not know of numbers.
alter table revision add column schema integer not null default 1;
