#!/usr/bin/env bash
# Ends the server this project started, and when it has really ended, its database.
set -euo pipefail
. scripts/common.sh
there=$(our_server)
if [ -n "$there" ]; then
  end_server "${there%% *}"
  say "The server has ended."
else
  say "No server of this project is running."
fi
rm -f "$HOME_DIR/server.pid"
bash scripts/cluster.sh database stop 2>/dev/null || true
