#!/usr/bin/env bash
# Called by Maven: installs packages when the lock file changed, builds when the sources did.
set -euo pipefail
cd "$(dirname "$0")"
command -v npm >/dev/null || { echo "Leeward needs Node 20 or newer (npm) to build its page." >&2; exit 1; }
lock=$(sha256sum package-lock.json | cut -c1-64)
if [ "$(cat node_modules/.leeward-lock 2>/dev/null)" != "$lock" ]; then
  npm ci --no-audit --no-fund --loglevel=error
  echo "$lock" >node_modules/.leeward-lock
fi
if [ ! -f dist/static/index.html ] || [ ! -f dist/live/leeward-face.js ] || [ -n "$(find src target/page index.html openapi.json vite.config.ts vite.live.config.ts package-lock.json tsconfig.json -newer dist/static/index.html -not -name schema.d.ts | head -1)" ]; then
  npm run --silent build
fi
