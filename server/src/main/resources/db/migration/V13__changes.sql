-- Whoever shows something is told when it changes, whichever server or program changed it. What is told of a transaction is told when
-- it is committed.
create function tell_document() returns trigger language plpgsql as $$
begin
  perform pg_notify('leeward_changes', json_strip_nulls(json_build_object(
    'kind', lower(new.kind), 'id', new.id, 'character', new.belongs_to, 'revision', new.head))::text);
  return null;
end $$;
create trigger document_told after insert or update of head, name, put_away on document
  for each row execute function tell_document();

-- Files that are made and recordings that are read: asked for, begun, ended or dismissed.
create function tell_work() returns trigger language plpgsql as $$
begin
  perform pg_notify('leeward_changes', json_build_object(
    'kind', tg_table_name || 's', 'character', coalesce(new.character, old.character))::text);
  return null;
end $$;
create trigger export_told after insert or delete or update of state on export for each row execute function tell_work();
create trigger reading_told after insert or delete or update of state on reading for each row execute function tell_work();
