-- Artwork and recordings never change, so they are kept once by their SHA-256.
create table artwork (
  hash    text primary key,
  shapes  text not null
);

create table sound (
  hash    text primary key,
  wav     bytea not null,
  seconds double precision not null
);

-- A character or a shot: a chain of revisions and a pointer to the newest.
create table document (
  id         uuid primary key,
  kind       text not null check (kind in ('CHARACTER', 'SHOT')),
  belongs_to uuid references document (id),
  name       text not null,
  head       integer not null,
  created_at timestamptz not null,
  changed_at timestamptz not null
);
create index document_listed on document (kind, belongs_to, created_at);

-- Undo and redo add revisions too: nothing accepted is ever lost. `stands_at` is the edit whose result this is,
-- `came_from` the one before it, `ahead` what redo would go to, nearest first.
create table revision (
  document  uuid not null references document (id),
  number    integer not null,
  action    text not null check (action in ('EDIT', 'UNDO', 'REDO')),
  edit      jsonb,
  says      text not null,
  author    text not null,
  made_at   timestamptz not null,
  state     jsonb not null,
  stands_at integer not null,
  came_from integer,
  ahead     jsonb not null,
  primary key (document, number)
);
