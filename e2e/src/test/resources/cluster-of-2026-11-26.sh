#!/usr/bin/env bash
# cluster.sh NAME start|url|stop   a PostgreSQL cluster of our own on 127.0.0.1; PostgreSQL refuses root, so root runs
# it as the user postgres. The cluster lives in .leeward/NAME, or in /var/tmp when postgres may not enter that folder.
set -euo pipefail
# As it was on that day but for this line: the tests make clusters with it that have to be brought over.
cd "$PROJECT"
. scripts/common.sh
NAME=$1; shift
ROOT=$HOME_DIR/$NAME
as_pg() {
  if [ "$(id -u)" = 0 ]; then
    (cd / && exec setpriv --reuid=postgres --regid=postgres --init-groups env HOME=/tmp LC_ALL=C "$@")
  else
    (cd / && exec env LC_ALL=C "$@")
  fi
}
mkdir -p "$HOME_DIR"; chmod 755 "$HOME_DIR"
if [ "$(id -u)" = 0 ] && ! as_pg test -x "$HOME_DIR"; then
  ROOT=/var/tmp/leeward-$(printf %s "$HOME_DIR" | sha256sum | cut -c1-12)/$NAME
fi
DATA=$ROOT/data
BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)
[ -x "${BIN:-}/initdb" ] || die "PostgreSQL's server is not installed."
running() { [ -f "$DATA/PG_VERSION" ] && as_pg "$BIN/pg_ctl" -D "$DATA" status >/dev/null 2>&1; }
port() { sed -n 4p "$DATA/postmaster.pid"; }
db() { "$BIN/psql" -qAtX -h 127.0.0.1 -p "$(port)" -U postgres "$@"; }
start() {
  mkdir -p "$ROOT/sock"; chmod 755 "$(dirname "$ROOT")" "$ROOT"
  [ "$(id -u)" != 0 ] || chown postgres:postgres "$ROOT" "$ROOT/sock"
  exec 9>"$ROOT/lock"; flock 9
  if ! running; then
    if [ ! -f "$DATA/PG_VERSION" ]; then
      rm -rf "$DATA"
      as_pg "$BIN/initdb" -D "$DATA" -U postgres -A trust -E UTF8 --locale=C.UTF-8 >"$ROOT/initdb.log" 2>&1 || { tail -5 "$ROOT/initdb.log" >&2; die "The database could not be made."; }
    fi
    local ok= i
    for i in 1 2 3; do
      as_pg "$BIN/pg_ctl" -D "$DATA" -w -t 60 -l "$DATA/server.log" \
        -o "-h 127.0.0.1 -p $(free_port "$(shuf -i 20000-30000 -n 1)") -k $ROOT/sock ${PGOPTS:-}" start >/dev/null 2>&1 9>&- && { ok=1; break; } || true
    done
    [ -n "$ok" ] || { tail -10 "$DATA/server.log" >&2; die "The database did not start; see $DATA/server.log."; }
  fi
  db -c "select 1 from pg_database where datname='leeward'" postgres | grep -q 1 || db -c 'create database leeward' postgres
  exec 9>&-
}
case "$1" in
  start) start; echo "jdbc:postgresql://127.0.0.1:$(port)/leeward" ;;
  url) running && echo "jdbc:postgresql://127.0.0.1:$(port)/leeward" ;;
  stop) if running; then as_pg "$BIN/pg_ctl" -D "$DATA" -m fast -w stop >/dev/null; fi ;;
  wipe) bash "$0" "$NAME" stop; rm -rf "$DATA" ;;
esac
