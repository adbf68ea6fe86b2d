-- Going back to any earlier revision is a revision of its own, which can be undone like an edit.
alter table revision drop constraint revision_action_check;
alter table revision add constraint revision_action_check check (action in ('EDIT', 'UNDO', 'REDO', 'RETURN'));

-- Revisions never change, so the names people give to some of them stand beside them.
create table milestone (
  document uuid not null,
  number   integer not null,
  name     text not null,
  primary key (document, number),
  foreign key (document, number) references revision (document, number)
);
