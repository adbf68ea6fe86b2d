-- Exports: files being made of a character or a shot as it stood, and those that were made lately. What is asked for survives the
-- server; the file is kept in pieces, so that it is never in memory whole, and frames in stretches, so that any server on this
-- database can draw some and a job that broke off goes on where it was.
create table export (
  id            uuid primary key,
  character     uuid not null references document (id) on update cascade,
  revision      integer not null,
  shot          uuid,
  shot_revision integer,
  asked         jsonb not null,
  label         text not null,
  file_name     text not null,
  media_type    text not null,
  frames        integer not null,
  author        text not null,
  client        text not null,
  asked_at      timestamptz not null,
  state         text not null check (state in ('WAITING', 'MAKING', 'DONE', 'REFUSED', 'CANCELLED')),
  taken_by      text,
  share         double precision not null default 0,
  bytes         bigint not null default 0,
  problem       jsonb,
  ended_at      timestamptz
);
create index export_waiting on export (asked_at) where state in ('WAITING', 'MAKING');
create index export_of on export (character, asked_at);

create table export_piece (
  export uuid    not null references export (id) on delete cascade,
  number integer not null,
  bytes  bytea   not null,
  primary key (export, number)
);

-- a stretch without a time nobody draws; one with a time but no bytes is being drawn since then
create table export_stretch (
  export   uuid    not null references export (id) on delete cascade,
  width    integer not null,
  kind     text    not null,
  first    integer not null,
  last     integer not null,
  taken_at timestamptz,
  bytes    bytea,
  primary key (export, width, kind, first)
);

-- db-scheduler's table once more: files are made by threads of their own, so that no recording waits for a film.
create table export_tasks (like scheduled_tasks including all);
