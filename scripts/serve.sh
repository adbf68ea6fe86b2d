#!/usr/bin/env bash
# Starts the database and the server and stays in front until Ctrl+C. What an earlier run left half dead is mended first: a
# server without its database gets it back, one that does not answer any more is ended and started again.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres
build
PIDFILE=$HOME_DIR/server.pid
LOG=$HOME_DIR/server.log
WANTED=${LEEWARD_PORT:-8480}
there=$(our_server)
if [ -n "$there" ]; then
  read -r pid port <<<"$there"
  [ -n "$(bash scripts/cluster.sh database pid || true)" ] || say "The server runs without its database; starting the database …"
  connect database start
  for _ in $(seq 20); do
    if answers "$port"; then
      say "Leeward is already running at http://127.0.0.1:$port/ — end it with ./leeward stop"
      exit 0
    fi
    kill -0 "$pid" 2>/dev/null || break
    sleep 0.5
  done
  say "The server (process $pid) does not answer; it is ended and started again."
  end_server "$pid"
  WANTED=$port
fi
rm -f "$PIDFILE"
PORT=$(free_port "$WANTED")
[ "$PORT" = "$WANTED" ] || say "Port $WANTED is taken by another program; using $PORT."
connect database start
export LEEWARD_PORT=$PORT LEEWARD_LOG=$LOG LEEWARD_DISK=$HOME_DIR
[ "$(id -u)" != 0 ] || LEEWARD_DISK=$(getent passwd postgres | cut -d: -f6)
say "Starting …"
server_command
# what the Java machine itself has to say; the server's own log is kept, and turned over, by the server
OUT=$HOME_DIR/server.out
[ ! -f "$OUT" ] || [ "$(stat -c %s "$OUT")" -lt 1000000 ] || mv -f "$OUT" "$OUT.1"
"${SERVER[@]}" >>"$OUT" 2>&1 &
child=$!
echo "$child $PORT" >"$PIDFILE"
stop() { end_server "$child"; wait "$child" 2>/dev/null || true; rm -f "$PIDFILE"; bash scripts/cluster.sh database stop; }
trap 'trap "" INT TERM; say; say "Ending …"; stop; exit 0' INT TERM
for i in $(seq 240); do
  if ! kill -0 "$child" 2>/dev/null; then
    tail -n 200 "$LOG" 2>/dev/null | grep -E 'Caused by|ERROR|FATAL' | tail -3 >&2 || tail -5 "$OUT" >&2
    stop; die "The server did not start; see $LOG and $OUT."
  fi
  if (exec 3<>"/dev/tcp/127.0.0.1/$PORT") 2>/dev/null; then break; fi
  sleep 0.25
done
say "Leeward is ready:  http://127.0.0.1:$PORT/    (Ctrl+C ends it)"
database=$(bash scripts/cluster.sh database pid || true)
while kill -0 "$child" 2>/dev/null; do
  if ! kill -0 "${database:-0}" 2>/dev/null; then
    say "The database has ended; starting it again …"
    bash scripts/cluster.sh database start >/dev/null 2>"$HOME_DIR/database.log" || { tail -3 "$HOME_DIR/database.log" >&2; sleep 5; }
    database=$(bash scripts/cluster.sh database pid || true)
    [ -z "$database" ] || say "The database is running again."
  fi
  # a signal is told at once, not when the pause is over
  sleep 1 & wait $! || true
done
code=0; wait "$child" || code=$?
rm -f "$PIDFILE"; bash scripts/cluster.sh database stop
[ "$code" = 0 ] || [ "$code" = 143 ] || die "The server ended by itself ($code); see $LOG and $OUT. Nothing accepted is lost."
