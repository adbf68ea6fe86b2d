-- The picture of a character's head as it was drawn last, so that the page of all characters has it at once after a start. It can be
-- drawn anew at any time, so nothing is lost with it.
create table face (
  character uuid primary key,
  revision  integer not null,
  form      integer not null,
  png       bytea not null
);
