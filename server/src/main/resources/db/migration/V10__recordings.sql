-- Recordings of many lines: kept in pieces that follow on each other, so that none is ever in memory whole, until the lines have
-- been cut out of them.
create table recording (
  id        uuid primary key,
  character uuid not null references document (id) on update cascade,
  name      text not null,
  client    text not null,
  made_at   timestamptz not null
);
create table recording_piece (
  recording uuid not null references recording (id) on delete cascade,
  number    integer not null,
  seconds   double precision not null,
  wav       bytea not null,
  primary key (recording, number)
);
alter table recording_piece alter column wav set storage external;

-- A script is a reading that finds its lines in such a recording and asks for the reading of each.
alter table reading drop constraint reading_kind_check,
  add constraint reading_kind_check check (kind in ('RECORD', 'WORDS', 'PRONOUNCE', 'SCRIPT'));
alter table reading add column recording uuid, add column cut_from double precision, add column cut_to double precision,
  add column script jsonb, add column part_of uuid, add column told jsonb;
create index reading_part on reading (part_of) where part_of is not null;
