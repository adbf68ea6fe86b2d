#!/usr/bin/env bash
# cluster.sh NAME COMMAND   a private PostgreSQL cluster
#   start   makes and starts it, brings an older one over; prints how to connect, as shell assignments
#   env     prints how to connect
#   fresh   starts it with an empty database
#   admin   runs psql as its superuser with the arguments that follow
#   pid     prints the process id of the running database
#   stop, wipe
#
# Nobody but the account that starts it gets in: the only way is a socket in a folder of mode 0700, every role needs its
# password (scram-sha-256; 0600 files beside the data), and the application's role owns its own database and nothing else.
# PostgreSQL refuses to run as root, so root runs it as the user postgres, in a folder of that user's home.
set -euo pipefail
cd "$(dirname "$(readlink -f "$0")")/.."
. scripts/common.sh
NAME=$1; shift
umask 077
mkdir -p "$HOME_DIR"; chmod 700 "$HOME_DIR"
HASH=$(printf %s "$HOME_DIR" | sha256sum | cut -c1-12)
as_root() { [ "$(id -u)" = 0 ]; }
as_pg() {
  if as_root; then
    (cd / && exec setpriv --reuid=postgres --regid=postgres --init-groups env HOME=/tmp LC_ALL=C "$@")
  else
    (cd / && exec env LC_ALL=C "$@")
  fi
}
if as_root; then
  ROOT=$(getent passwd postgres | cut -d: -f6)/leeward-$HASH/$NAME
  OLDER=("$HOME_DIR/$NAME" "/var/tmp/leeward-$HASH/$NAME")
else
  ROOT=$HOME_DIR/$NAME
  OLDER=()
fi
DATA=$ROOT/data
SOCK=$ROOT/sock
BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)
[ -x "${BIN:-}/initdb" ] || die "PostgreSQL's server is not installed."
# The first lines of the file that says who may connect, so that an older one is known.
HBA='# Leeward: passwords for all, on the private socket or the loopback'

# A socket's path has 107 bytes at the most; where the folder lies deeper, a port on the loopback serves.
by_socket() { [ "${#SOCK}" -le 88 ]; }
random() { head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n'; }
secret() { cat "$ROOT/$1.password"; }
# A process that has ended but was not cleared away yet has no command line any more.
running() {
  local pid; pid=$(head -1 "$DATA/postmaster.pid" 2>/dev/null) || return 1
  [ -n "$pid" ] && { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -q postgres
}
place() { if by_socket; then echo "host='$SOCK' port=5432"; else echo "host=127.0.0.1 port=$(cat "$ROOT/port")"; fi; }
admin() { PGPASSWORD=$(secret superuser) "$BIN/psql" -qAtX -v ON_ERROR_STOP=1 "$(place) user=postgres dbname=${DB:-postgres} connect_timeout=10" "$@"; }

# Writes a file of the cluster's owner in one go, so that none is ever half there.
keep() {
  cat >"$1.part"
  if as_root; then chown postgres:postgres "$1.part"; fi
  mv -f "$1.part" "$1"
}

print_env() {
  if by_socket; then
    # shellcheck disable=SC2016
    printf "LEEWARD_DB_URL='jdbc:postgresql://localhost/leeward?sslmode=disable&socketFactory=%s&socketFactoryArg=%s'\n" \
      'org.newsclub.net.unix.AFUNIXSocketFactory$FactoryArg' "$SOCK/.s.PGSQL.5432"
  else
    printf "LEEWARD_DB_URL='jdbc:postgresql://127.0.0.1:%s/leeward?sslmode=disable'\n" "$(cat "$ROOT/port")"
  fi
  printf "LEEWARD_DB_USER='leeward'\nLEEWARD_DB_PASSWORD='%s'\n" "$(secret application)"
}

# Ends a database by the process id it left behind; works where its folder has moved out of its owner's reach.
end_by_pid() {
  local pid; pid=$(head -1 "$1/postmaster.pid" 2>/dev/null) || return 0
  if [ -n "$pid" ] && { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -q postgres; then
    kill -INT "$pid"
    for _ in $(seq 300); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.1; done
    die "The older database (process $pid) does not end."
  fi
}

# A cluster made when it lay elsewhere is taken along whole; a copy that broke off is made again from the original.
bring_over() {
  local older
  for older in ${OLDER[@]+"${OLDER[@]}"}; do
    if [ ! -f "$DATA/PG_VERSION" ] && [ -f "$older/data/PG_VERSION" ]; then
      say "Bringing the database over to $ROOT …"
      end_by_pid "$older/data"
      rm -rf "$DATA.part"
      cp -a "$older/data" "$DATA.part"
      sync -f "$DATA.part"
      mv "$DATA.part" "$DATA"
      mv "$older" "$older.brought-over"
      rm -rf "$older.brought-over"
    fi
  done
}

make() {
  rm -rf "$DATA" "$ROOT/ready"
  random | keep "$ROOT/superuser.password"
  as_pg "$BIN/initdb" -D "$DATA" -U postgres -A scram-sha-256 --pwfile="$ROOT/superuser.password" -k -E UTF8 --locale=C.UTF-8 \
    >"$HOME_DIR/initdb.log" 2>&1 || { tail -5 "$HOME_DIR/initdb.log" >&2; die "The database could not be made."; }
}

# Everything a stopped cluster needs to let nobody in but us. What is as it should be already is left alone.
close_doors() {
  chmod 700 "$DATA"
  [ -f "$ROOT/application.password" ] || random | keep "$ROOT/application.password"
  if [ ! -f "$ROOT/superuser.password" ] || ! grep -qF "$HBA" "$DATA/pg_hba.conf" || [ "${1:-}" = again ]; then
    [ -f "$ROOT/superuser.password" ] || random | keep "$ROOT/superuser.password"
    # one user, no socket, no port: nobody can come in while there is no password yet
    printf "set password_encryption = 'scram-sha-256'; alter role postgres password '%s';\n" "$(secret superuser)" \
      | as_pg "$BIN/postgres" --single -D "$DATA" -c log_min_messages=fatal postgres >/dev/null 2>"$HOME_DIR/close.log" \
      || { tail -5 "$HOME_DIR/close.log" >&2; die "The older database could not be given a password."; }
    printf '%s\nlocal all all scram-sha-256\nhost all all 127.0.0.1/32 scram-sha-256\n' "$HBA" | keep "$DATA/pg_hba.conf"
  fi
  if as_pg "$BIN/pg_controldata" "$DATA" | grep -q 'checksum version: *0$'; then
    # checksums are counted on a database that was ended cleanly, as one user's run leaves it
    as_pg "$BIN/postgres" --single -D "$DATA" -c log_min_messages=fatal postgres </dev/null >/dev/null 2>&1 || true
    say "Adding checksums to the database …"
    as_pg "$BIN/pg_checksums" --enable -D "$DATA" >/dev/null 2>"$HOME_DIR/close.log" \
      || { tail -5 "$HOME_DIR/close.log" >&2; die "Checksums could not be added to the database."; }
  fi
}

# A killed database leaves its mark behind, and for some seconds its helpers. The mark is taken away once they are gone.
clear_mark() {
  local i p
  [ -f "$DATA/postmaster.pid" ] || return 0
  for i in $(seq 100); do
    for p in /proc/[0-9]*; do
      [ "$(readlink "$p/cwd" 2>/dev/null)" != "$DATA" ] || { sleep 0.2; continue 2; }
    done
    rm -f "$DATA/postmaster.pid"
    return
  done
}

launch() {
  local how i
  if by_socket; then
    how="-c listen_addresses='' -c unix_socket_directories='$SOCK' -p 5432"
  else
    [ -f "$ROOT/port" ] || free_port "$(shuf -i 20000-30000 -n 1)" | keep "$ROOT/port"
    how="-c listen_addresses=127.0.0.1 -c unix_socket_directories='' -p $(cat "$ROOT/port")"
  fi
  # what a killed database leaves behind takes some seconds to go
  for i in $(seq 15); do
    clear_mark
    as_pg "$BIN/pg_ctl" -D "$DATA" -w -t 60 -l "$DATA/server.log" -o "$how -c unix_socket_permissions=0700 ${PGOPTS:-}" start \
      >/dev/null 2>&1 9>&- && return
    sleep 1
  done
  tail -10 "$DATA/server.log" >&2
  die "The database did not start; see $DATA/server.log."
}

# The application's role and what it owns. What older versions left to the superuser becomes its own.
roles() {
  admin >/dev/null <<SQL
do \$\$ begin
  if not exists (select from pg_roles where rolname = 'leeward') then create role leeward; end if;
end \$\$;
set password_encryption = 'scram-sha-256';
alter role leeward nosuperuser nocreatedb nocreaterole noreplication login password '$(secret application)';
revoke connect on database postgres from public;
revoke connect on database template1 from public;
SQL
  if [ "$(admin -c "select 1 from pg_database where datname = 'leeward'")" != 1 ]; then
    admin -c 'create database leeward owner leeward'
  fi
  admin -c 'alter database leeward owner to leeward' -c 'revoke all on database leeward from public'
  DB=leeward admin >/dev/null <<'SQL'
alter schema public owner to leeward;
do $$ declare r record; begin
  for r in select c.oid::regclass as name from pg_class c join pg_namespace n on n.oid = c.relnamespace
           where n.nspname = 'public' and c.relkind in ('r', 'p') and c.relowner <> 'leeward'::regrole loop
    execute format('alter table %s owner to leeward', r.name);
  end loop;
end $$;
SQL
}

start() {
  if as_root; then
    install -d -m 700 -o postgres -g postgres "$(dirname "$ROOT")" "$ROOT" "$SOCK"
  else
    mkdir -p "$SOCK"; chmod 700 "$ROOT" "$SOCK"
  fi
  exec 9>"$HOME_DIR/$NAME.lock"; flock 9
  bring_over
  if running && [ -f "$ROOT/ready" ]; then
    exec 9>&-
    return
  fi
  if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m fast -w stop >/dev/null; fi
  [ -f "$DATA/PG_VERSION" ] || make
  close_doors
  launch
  if ! admin -c 'select 1' >/dev/null 2>&1; then
    # the password was changed by somebody, or its file is not the one that was set
    as_pg "$BIN/pg_ctl" -D "$DATA" -m fast -w stop >/dev/null
    close_doors again
    launch
  fi
  roles
  touch "$ROOT/ready"
  exec 9>&-
}

case "$1" in
  start) start; print_env ;;
  env) print_env ;;
  fresh) start; admin -c 'drop database if exists leeward with (force)'; roles; print_env ;;
  admin) shift; admin "$@" ;;
  pid) running && head -1 "$DATA/postmaster.pid" ;;
  stop) if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m fast -w stop >/dev/null; fi ;;
  wipe) bash "$0" "$NAME" stop; rm -rf "$ROOT" ;;
  *) die "cluster.sh $NAME: unknown command '$1'" ;;
esac
