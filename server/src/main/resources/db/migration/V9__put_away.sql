-- When a character was put away: it is out of the list, with its shots, and can be brought back as it was.
alter table document add column put_away timestamptz;
