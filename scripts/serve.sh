#!/usr/bin/env bash
# Starts the database and the server and stays in front until Ctrl+C. What an earlier run left half dead is mended first: a
# server without its database gets it back, one that does not answer any more is ended and started again.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres; need_ffmpeg
build
PIDFILE=$HOME_DIR/server.pid
LOG=$HOME_DIR/server.log
WANTED=${LEEWARD_PORT:-8480}
there=$(our_server)
if [ -n "$there" ]; then
  read -r pid port <<<"$there"
  [ -n "$(bash scripts/cluster.sh database pid || true)" ] || say "The server runs without its database; starting the database …"
  connect database start
  for _ in 1 2 3 4 5; do
    if answers "$port"; then
      say "Leeward is already running at http://127.0.0.1:$port/ — end it with ./leeward stop"
      exit 0
    fi
    kill -0 "$pid" 2>/dev/null || break
    sleep 0.5
  done
  say "The server (process $pid) does not answer; it is ended and started again."
  # whoever started it is told that it is not theirs any more
  rm -f "$PIDFILE"
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
launch() {
  "${SERVER[@]}" >>"$OUT" 2>&1 &
  child=$!
  echo "$child $PORT" >"$PIDFILE"
}
ours() { [ "$(cut -d' ' -f1 "$PIDFILE" 2>/dev/null)" = "$child" ]; }
stop() { end_server "$child"; wait "$child" 2>/dev/null || true; rm -f "$PIDFILE"; bash scripts/cluster.sh database stop; }
# What the server was up to when it ended by itself.
why() {
  tail -n 200 "$LOG" 2>/dev/null | grep -E 'Caused by|ERROR|FATAL' | tail -3 >&2 || tail -5 "$OUT" >&2
}
revive_database() {
  { tr '\0' ' ' <"/proc/${database:-none}/cmdline"; } 2>/dev/null | grep -q postgres && return 0
  say "The database has ended; starting it again …"
  bash scripts/cluster.sh database start >/dev/null 2>"$HOME_DIR/database.log" || { tail -3 "$HOME_DIR/database.log" >&2; sleep 5; }
  database=$(bash scripts/cluster.sh database pid || true)
  [ -z "$database" ] || say "The database is running again."
}
database=$(bash scripts/cluster.sh database pid || true)
launch
trap 'trap "" INT TERM; say; say "Ending …"; stop; exit 0' INT TERM
told=; again=0; since=$SECONDS
while true; do
  if ! kill -0 "$child" 2>/dev/null; then
    code=0; wait "$child" || code=$?
    # another start command ended it, or the stop command did
    ours || exit 0
    [ "$code" != 0 ] && [ "$code" != 143 ] || { rm -f "$PIDFILE"; bash scripts/cluster.sh database stop; exit 0; }
    why
    [ $((SECONDS - since)) -lt 600 ] || again=0
    again=$((again + 1)); since=$SECONDS
    if [ "$again" -gt 3 ]; then
      rm -f "$PIDFILE"; bash scripts/cluster.sh database stop
      die "The server ends by itself ($code); see $LOG and $OUT. Nothing accepted is lost."
    fi
    say "The server ended by itself ($code); starting it again …"
    revive_database
    told=
    launch
  fi
  revive_database
  if [ -z "$told" ] && (exec 3<>"/dev/tcp/127.0.0.1/$PORT") 2>/dev/null; then
    told=1
    say "Leeward is ready:  http://127.0.0.1:$PORT/    (Ctrl+C ends it)"
  fi
  # a signal is heard at once, not when the pause is over
  sleep 0.5 & wait $! || true
done
