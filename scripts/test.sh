#!/usr/bin/env bash
# Every test: core, speech, formats, render, server, the page, end to end. Extra arguments go to Maven.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres; need_chromium
for tool in flite sox rsvg-convert:librsvg2-bin; do
  command -v "${tool%%:*}" >/dev/null || debian "${tool##*:}"
done
export PGOPTS='-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_connections=200'
trap 'bash scripts/cluster.sh test stop' EXIT
connect test fresh
# each class of stories has a database of its own
bash scripts/cluster.sh test admin -c 'alter role leeward createdb'
say "Front end: types, rules, format, tests …"
(cd web && bash build.sh >"$HOME_DIR/web.log" 2>&1 && npm run --silent lint && npm run --silent test) || { tail -20 "$HOME_DIR/web.log" >&2; die "The front end's checks failed."; }
say "Java: format, unit, server and end-to-end tests …"
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
mvn -B -ntp install "$@"
