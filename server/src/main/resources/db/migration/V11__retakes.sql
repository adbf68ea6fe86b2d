-- Another take of a line is read like a new recording, and put in the place of the one that is there.
alter table reading drop constraint reading_kind_check,
  add constraint reading_kind_check check (kind in ('RECORD', 'WORDS', 'PRONOUNCE', 'SCRIPT', 'RETAKE'));

-- Which line of a shot is read again: the frame it begins at; the first one when nobody says.
alter table reading add column at_frame integer;
