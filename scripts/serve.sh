#!/usr/bin/env bash
# Starts the database and the server and stays in front until Ctrl+C.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres
build
PIDFILE=$HOME_DIR/server.pid
if [ -f "$PIDFILE" ]; then
  read -r old oldport <"$PIDFILE" || true
  if [ -n "${old:-}" ] && kill -0 "$old" 2>/dev/null && tr '\0' ' ' <"/proc/$old/cmdline" | grep -q 'server-0.1.0-app.jar'; then
    say "Leeward is already running at http://127.0.0.1:${oldport}/ — end it with ./leeward stop"
    exit 0
  fi
  rm -f "$PIDFILE"
fi
WANTED=${LEEWARD_PORT:-8480}
PORT=$(free_port "$WANTED")
[ "$PORT" = "$WANTED" ] || say "Port $WANTED is taken by another program; using $PORT."
LEEWARD_DB_URL=$(bash scripts/cluster.sh database start)
export LEEWARD_DB_URL LEEWARD_PORT=$PORT
say "Starting …"
server_command
"${SERVER[@]}" >"$HOME_DIR/server.log" 2>&1 &
child=$!
echo "$child $PORT" >"$PIDFILE"
stop() { kill -TERM "$child" 2>/dev/null || true; wait "$child" 2>/dev/null || true; rm -f "$PIDFILE"; bash scripts/cluster.sh database stop; }
trap 'trap "" INT TERM; say; say "Ending …"; stop; exit 0' INT TERM
for i in $(seq 240); do
  if ! kill -0 "$child" 2>/dev/null; then
    grep -m3 -E 'Caused by|ERROR|FATAL' "$HOME_DIR/server.log" >&2 || tail -5 "$HOME_DIR/server.log" >&2
    stop; die "The server did not start; see $HOME_DIR/server.log."
  fi
  if (exec 3<>"/dev/tcp/127.0.0.1/$PORT") 2>/dev/null; then break; fi
  sleep 0.25
done
say "Leeward is ready:  http://127.0.0.1:$PORT/    (Ctrl+C ends it)"
code=0; wait "$child" || code=$?
rm -f "$PIDFILE"; bash scripts/cluster.sh database stop
[ "$code" = 0 ] || [ "$code" = 143 ] || die "The server ended by itself ($code); see $HOME_DIR/server.log. Nothing accepted is lost."
