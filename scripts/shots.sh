#!/usr/bin/env bash
# Takes the pictures in docs/screenshots again, from the demo on a database of its own.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres; need_chromium
build
export PGOPTS='-c fsync=off'
trap 'bash scripts/cluster.sh test stop' EXIT
connect test start
bash scripts/cluster.sh test admin -c 'alter role leeward createdb'
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
mvn -q -B -ntp install -Dspotless.check.skip -pl e2e -Dtest=Shots -Dleeward.shots=true -Dsurefire.failIfNoSpecifiedTests=false >"$HOME_DIR/shots.log" 2>&1 \
  || { grep -v '^\s*at ' "$HOME_DIR/shots.log" | tail -15 >&2; die "The pictures could not be taken."; }
# smaller by half and no different to the eye
for tool in pngquant gifsicle; do command -v "$tool" >/dev/null || debian "$tool"; done
pngquant --force --skip-if-larger --ext .png docs/screenshots/*.png || [ $? = 98 ]
gifsicle -b -O3 --lossy=40 docs/screenshots/shot.gif
ls docs/screenshots
