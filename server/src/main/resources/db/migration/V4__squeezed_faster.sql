-- Outlines and documents are long texts of digits: lz4 squeezes them several times faster than the default. A PostgreSQL built
-- without it keeps the default.
do $$ begin
  alter table artwork alter column shapes set compression lz4;
  alter table revision alter column state set compression lz4;
  alter table revision alter column edit set compression lz4;
exception when others then
  raise notice 'the default compression stays: %', sqlerrm;
end $$;
