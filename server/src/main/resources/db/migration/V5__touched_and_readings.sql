-- What an edit touches stands beside it, so that whether two edits clash is asked of a few words and never of whole states.
-- Rows written before get theirs from the next migration.
alter table revision add column touched text[];

-- Demo characters had the same id on every installation, so that any page could name them. The links between tables
-- follow an id that changes.
alter table revision drop constraint revision_document_fkey,
  add constraint revision_document_fkey foreign key (document) references document (id) on update cascade;
alter table milestone drop constraint milestone_document_number_fkey,
  add constraint milestone_document_number_fkey foreign key (document, number) references revision (document, number) on update cascade;
alter table document drop constraint document_belongs_to_fkey,
  add constraint document_belongs_to_fkey foreign key (belongs_to) references document (id) on update cascade;

-- Which documents the demo made: each is made once, also when somebody renamed it.
create table demo_document (
  name     text primary key,
  document uuid not null references document (id) on update cascade
);
insert into demo_document (name, document)
select fixed.name, d.id
from document d
join (select n as name, md5('leeward demo ' || n)::uuid as plain
      from unnest(array['maren', 'pilchard', 'wick', 'Boat to Sorrel', 'Mind the ropes']) n) fixed
  -- version 3, variant 2 of RFC 4122 put into the digest's bits
  on d.id = (overlay(overlay(fixed.plain::text placing '3' from 15 for 1)
             placing substr('89ab', 1 + (('x' || substr(fixed.plain::text, 20, 1))::bit(4) & b'0011')::int, 1) from 20 for 1))::uuid;
update document set id = gen_random_uuid() where id in (select document from demo_document);

-- Readings: recordings waiting to be put to words, and what became of them. What is asked for survives the server; the
-- line, the lexicon and the end of the reading are written in one transaction.
create table reading (
  id          uuid primary key,
  kind        text not null check (kind in ('RECORD', 'WORDS', 'PRONOUNCE')),
  character   uuid not null references document (id) on update cascade,
  line        uuid not null,
  base        integer,
  name        text,
  words       text,
  word        text,
  sounds_like text,
  wav         bytea,
  seconds     double precision not null,
  author      text not null,
  client      text not null,
  asked_at    timestamptz not null,
  state       text not null check (state in ('WAITING', 'READING', 'DONE', 'REFUSED', 'CANCELLED')),
  taken_by    text,
  share       double precision not null default 0,
  problem     jsonb,
  ended_at    timestamptz
);
create index reading_waiting on reading (asked_at) where state in ('WAITING', 'READING');
create index reading_of on reading (character, asked_at);

-- The table of db-scheduler, as its own documentation has it for PostgreSQL.
create table scheduled_tasks (
  task_name            text not null,
  task_instance        text not null,
  task_data            bytea,
  execution_time       timestamptz not null,
  picked               boolean not null,
  picked_by            text,
  last_success         timestamptz,
  last_failure         timestamptz,
  consecutive_failures int,
  last_heartbeat       timestamptz,
  version              bigint not null,
  priority             smallint,
  primary key (task_name, task_instance)
);
create index execution_time_idx on scheduled_tasks (execution_time);
create index last_heartbeat_idx on scheduled_tasks (last_heartbeat);
create index priority_execution_time_idx on scheduled_tasks (priority desc, execution_time asc);
