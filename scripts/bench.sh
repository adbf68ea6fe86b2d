#!/usr/bin/env bash
# Prints the figures of docs/benchmarks.md: what a studio bears, computation by JMH, then a real server on the loopback.
# An argument is a pattern for JMH, or the name of one of the three attacks.
set -euo pipefail
. scripts/common.sh
need_java; need_node; need_postgres
build
mvn -q -B -ntp install -DskipTests -Dspotless.check.skip -pl core,speech,formats,render,faces,demo,bench
mvn -q -B -ntp -pl bench dependency:build-classpath -Dmdep.outputFile="$HOME_DIR/bench.cp"
CP=bench/target/classes:$(cat "$HOME_DIR/bench.cp")
printf '%s, %s processors, Java %s\n' "$(sed -n 's/^model name.*: //p' /proc/cpuinfo | head -1)" "$(nproc)" "$(java -version 2>&1 | sed -n '1s/.*"\(.*\)".*/\1/p')"
# faces, turns, drawn, order, checked, taken, strips, page, films, shots, heard, spoken, cut, mouths, spelled, chaos, fuzz and rude can be run by themselves: ./leeward bench faces [count first-seed], ./leeward bench turns count [first-seed], drawn and order the same, ./leeward bench strips folder [file or seed ...], ./leeward bench chaos [seed edits kills], fuzz [seed calls], rude [seconds]
page_figures() {
  need_chromium
  export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
  connect bench start
  bash scripts/cluster.sh bench admin -c 'alter role leeward createdb' >/dev/null
  trap 'bash scripts/cluster.sh bench stop' EXIT
  mvn -B -ntp test -Dspotless.check.skip -pl e2e -Dtest='PageFigures,LongShotFigures,MouthWallFigures,HandFigures' -Dleeward.figures=true -Dstories.at.once=1 | grep -oE '(page:|jaw ruler turned|sheet of 24|step of the wheel).*'
}
attack() { java -Xmx3g -cp "$CP" "app.leeward.bench.attack.$@"; }
case "${1:-}" in
  faces) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.ThousandFaces "$@"; exit ;;
  turns) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.TurnedHeads "$@"; exit ;;
  drawn) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.DrawnHeads "$@"; exit ;;
  checked) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.CheckedFaces "$@"; exit ;;
  taken) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.TakenFaces "$@"; exit ;;
  order) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.EarOrder "$@"; exit ;;
  strips) shift; java -Xmx2g -cp "$CP" app.leeward.bench.faces.FilmStrips "$@"; exit ;;
  chaos) shift; attack Chaos "$@"; exit ;;
  fuzz) shift; attack Fuzz "$@"; exit ;;
  page) page_figures; exit ;;
  films) shift; need_ffmpeg; java -Xmx2g -cp "$CP" app.leeward.bench.FilmFigures "$@"; exit ;;
  heard) shift; need_flite; java -Xmx2g -cp "$CP" app.leeward.bench.heard.HeardFigures "$@"; exit ;;
  spoken) need_flite; java -Xmx2g -cp "$CP" app.leeward.bench.heard.SpokenFigures; exit ;;
  mouths) need_flite; java -Xmx2g -cp "$CP" app.leeward.bench.heard.MouthFigures; exit ;;
  cut) shift; need_flite; java -Xmx2g -cp "$CP" app.leeward.bench.heard.CutFigures "$@"; exit ;;
  spelled) shift; java -Xmx3g -cp "$CP" app.leeward.bench.heard.SpelledFigures "$@"; exit ;;
  shots) java -Xmx2g -cp "$CP" app.leeward.bench.ShotFigures; exit ;;
  rude) shift; attack RudeClients "$@"; exit ;;
esac
attack Chaos; attack Fuzz; attack RudeClients
java -cp "$CP" org.openjdk.jmh.Main "${1:-.*}" -v SILENT -rf text -rff "$HOME_DIR/jmh.txt" >/dev/null 2>&1 && cat "$HOME_DIR/jmh.txt"
connect bench start
bash scripts/cluster.sh bench admin -c 'alter role leeward createdb'
trap 'kill "${server:-0}" 2>/dev/null || true; bash scripts/cluster.sh bench stop' EXIT
export LEEWARD_DEMO=true LEEWARD_PORT; LEEWARD_PORT=$(free_port 18480)
launch() {
  server_command
  "${SERVER[@]}" >"$HOME_DIR/bench-server.log" 2>&1 & server=$!
  until (exec 3<>"/dev/tcp/127.0.0.1/$LEEWARD_PORT") 2>/dev/null; do sleep 0.05; kill -0 "$server"; done
}
launch; sleep 15; kill "$server"; wait "$server" 2>/dev/null || true   # makes the database and Maren
for i in 1 2 3; do
  from=$(date +%s.%N); launch; until curl -sf "http://127.0.0.1:$LEEWARD_PORT/api/v1/characters" >/dev/null; do sleep 0.05; done
  printf 'start, built, existing database to answering: %.1f s\n' "$(echo "$(date +%s.%N) - $from" | bc)"
  [ "$i" = 3 ] || { kill "$server"; wait "$server" 2>/dev/null || true; }
done
sleep 8
java -cp "$CP" app.leeward.bench.PoseLoad "http://127.0.0.1:$LEEWARD_PORT"
java -Xmx512m -cp "$CP" app.leeward.bench.IntakeFigures "http://127.0.0.1:$LEEWARD_PORT"
kill "$server"; wait "$server" 2>/dev/null || true
unset LEEWARD_DEMO LEEWARD_PORT
page_figures
