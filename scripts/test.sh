#!/usr/bin/env bash
# Every test, in two stages that say how long they took: what needs no browser, then the stories. Extra arguments go to Maven.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres; need_chromium
for tool in flite sox ffmpeg rsvg-convert:librsvg2-bin; do
  command -v "${tool%%:*}" >/dev/null || debian "${tool##*:}"
done
export PGOPTS='-c fsync=off -c synchronous_commit=off -c full_page_writes=off -c max_connections=200'
trap 'bash scripts/cluster.sh test stop' EXIT
connect test fresh
# each Java machine that runs stories has a database of its own
bash scripts/cluster.sh test admin -c 'alter role leeward createdb'
export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1

# (No head here: it ends before what writes to it, which then ends the whole script.)
# What a stage took, and which classes of tests took longest in it: took STAGE SINCE MODULE...
took() {
  local stage=$1 since=$2 module
  shift 2
  printf '%s took %d s; the slowest classes:\n' "$stage" $((SECONDS - since))
  for module in "$@"; do
    find "$module/target/surefire-reports" -name 'TEST-*.xml' -newer "$HOME_DIR/began" -exec cat {} + 2>/dev/null || true
  done | sed -n 's/^<testsuite .* name="\([^"]*\)" time="\([0-9.,]*\)".*/\2 \1/p' | tr -d , | sort -rn |
    awk 'NR <= 10 {printf "  %6.1f s  %s\n", $1, $2}'
}

touch "$HOME_DIR/began"
began=$SECONDS
say "Stage 1: the front end's types, rules, format and tests; Java format, unit and server tests …"
# the page loads core, compiled for it, so both are built before the front end is looked at
mvn -q -B -ntp -T 2 install -DskipTests -Dspotless.check.skip -pl web -am >"$HOME_DIR/web.log" 2>&1 || { tail -20 "$HOME_DIR/web.log" >&2; die "The front end could not be built."; }
(cd web && npm run --silent lint && npm run --silent test) >"$HOME_DIR/web.log" 2>&1 &
front=$!
mvn -B -ntp -T 2 install -pl '!e2e' "$@"
wait "$front" || { tail -40 "$HOME_DIR/web.log" >&2; die "The front end's checks failed."; }
took 'Stage 1' "$began" core speech formats render server
for module in core formats; do
  awk -F, -v module="$module" 'NR > 1 { missed += $8; covered += $9; bm += $6; bc += $7 }
    END { if (covered) printf "Coverage of %s: %.1f %% of its lines, %.1f %% of its branches\n", module, 100 * covered / (missed + covered), 100 * bc / (bm + bc) }' \
    "$module/target/site/jacoco/jacoco.csv" 2>/dev/null || true
done
# not when single tests were asked for, which may have built less
[ $# -gt 0 ] || node scripts/notices.mjs --check
began=$SECONDS
say "Stage 2: end to end …"
mvn -B -ntp install -pl e2e "$@"
took 'Stage 2' "$began" e2e
