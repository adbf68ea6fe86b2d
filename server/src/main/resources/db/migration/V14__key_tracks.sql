-- Keys of one dial along a shot never change and are mostly the same from revision to revision: long ones are kept once by their
-- SHA-256, and the shots they are in say it.
create table key_track (
  hash text primary key,
  keys text not null
);
do $$ begin
  alter table key_track alter column keys set compression lz4;
exception when others then
  raise notice 'the default compression stays: %', sqlerrm;
end $$;
