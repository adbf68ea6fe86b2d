#!/usr/bin/env bash
# Ends the server this project started, and its database.
set -euo pipefail
. scripts/common.sh
PIDFILE=$HOME_DIR/server.pid
if [ -f "$PIDFILE" ]; then
  read -r pid _ <"$PIDFILE" || true
  if [ -n "${pid:-}" ] && kill -0 "$pid" 2>/dev/null && tr '\0' ' ' <"/proc/$pid/cmdline" | grep -q 'server-0.1.0-app.jar'; then
    kill -TERM "$pid"
    for i in $(seq 60); do kill -0 "$pid" 2>/dev/null || break; sleep 0.25; done
    say "The server has ended."
  fi
  rm -f "$PIDFILE"
else
  say "No server of this project is running."
fi
bash scripts/cluster.sh database stop 2>/dev/null || true
