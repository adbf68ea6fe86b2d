# What the scripts share. Sourced with the project's folder as the working directory.
# LEEWARD_HOME is another folder for everything that is kept: the database, logs, what was built to run.
HOME_DIR=${LEEWARD_HOME:-$PWD/.leeward}
say() { printf '%s\n' "$*" >&2; }
die() { say "$*"; exit 1; }

# Installs Debian packages, or says how.
debian() {
  if [ "$(id -u)" = 0 ]; then
    say "Installing $* …"
    export DEBIAN_FRONTEND=noninteractive
    apt-get install -y -qq "$@" >"$HOME_DIR/apt.log" 2>&1 || { apt-get update -qq >>"$HOME_DIR/apt.log" 2>&1 && apt-get install -y -qq "$@" >>"$HOME_DIR/apt.log" 2>&1; } \
      || die "Could not install $*; see $HOME_DIR/apt.log."
  elif sudo -n true 2>/dev/null; then
    say "Installing $* …"
    sudo apt-get update -qq && sudo DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "$@" >"$HOME_DIR/apt.log" 2>&1 || die "Could not install $*; see $HOME_DIR/apt.log."
  else
    die "Leeward needs: $*. Install it with: sudo apt-get install $*"
  fi
}

need_java() {
  mkdir -p "$HOME_DIR"; chmod 700 "$HOME_DIR"
  command -v javac >/dev/null || debian openjdk-17-jdk-headless
  local v; v=$(javac -version 2>&1 | sed -E 's/javac ([0-9]+).*/\1/')
  [ "$v" -ge 17 ] || die "Leeward needs Java 17 or newer; this is Java $v."
  command -v mvn >/dev/null || debian maven
  # pages to print are set in it
  [ -f /usr/share/fonts/truetype/dejavu/DejaVuSans.ttf ] || debian fonts-dejavu-core
  command -v curl >/dev/null || debian curl
}

need_node() {
  command -v npm >/dev/null || die "Leeward needs Node 20 or newer (node and npm) to build its page."
  local v; v=$(node -p 'process.versions.node.split(".")[0]')
  [ "$v" -ge 20 ] || die "Leeward needs Node 20 or newer; this is Node $v."
}

need_postgres() {
  ls -d /usr/lib/postgresql/*/bin/initdb >/dev/null 2>&1 || debian postgresql
}

# Films are encoded by it; everything else works without.
need_ffmpeg() {
  command -v ffmpeg >/dev/null || (debian ffmpeg) || say "Films cannot be made without ffmpeg; everything else works."
}

# Speaks sentences whose true times are known.
need_flite() {
  command -v flite >/dev/null || debian flite
}

need_chromium() {
  [ -x /usr/bin/chromium ] || debian chromium fonts-dejavu-core
}

# Builds what changed since the last build; LEEWARD_BUILT=1 takes what is there.
build() {
  [ -z "${LEEWARD_BUILT:-}" ] || return 0
  local jar=server/target/server-0.1.0-app.jar
  if [ -f "$jar" ] && [ -z "$(find pom.xml ./*/pom.xml ./*/src web/package-lock.json web/openapi.json web/index.html -newermc "$jar" -not -path '*/src/test/*' -not -name schema.d.ts 2>/dev/null | head -1)" ]; then
    return
  fi
  say "Building (a first build fetches its packages and takes some minutes) …"
  mvn -q -B -ntp install -DskipTests -Dspotless.check.skip -pl '!bench,!e2e' >"$HOME_DIR/build.log" 2>&1 \
    || { grep -v '^\s*at ' "$HOME_DIR/build.log" | grep -v '^\[ERROR\] \?\(\[Help\|To see\|Re-run\|For more\|After\)' | tail -20 >&2; die "The build failed; all of it is in $HOME_DIR/build.log."; }
}

# A free port at or above the wanted one.
free_port() {
  local p=$1
  while (exec 3<>"/dev/tcp/127.0.0.1/$p") 2>/dev/null; do p=$((p + 1)); done
  echo "$p"
}

# Starts a database and lets what is run from here on connect to it: connect NAME start|fresh.
connect() {
  local how; how=$(bash scripts/cluster.sh "$@") || exit 1
  set -a; eval "$how"; set +a
}

# The server this project started, from the file it left: its process id and port; nothing when it is not running.
our_server() {
  local pid port
  [ -f "$HOME_DIR/server.pid" ] || return 0
  read -r pid port <"$HOME_DIR/server.pid" || true
  if [ -n "${pid:-}" ] && { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -q 'server-0.1.0-app.jar'; then
    echo "$pid ${port:-0}"
  fi
}

# Ends a server and comes back when it has really ended: what it is in the middle of is finished first.
end_server() {
  local i
  kill -TERM "$1" 2>/dev/null || return 0
  kill -CONT "$1" 2>/dev/null || true
  for i in $(seq 180); do
    kill -0 "$1" 2>/dev/null || return 0
    # of an ended child only the entry is left until somebody asks for it
    grep -q '^State:.Z' "/proc/$1/status" 2>/dev/null && return 0
    sleep 0.25
  done
  say "The server (process $1) did not end within 45 s; ending it by force. Nothing accepted is lost."
  kill -KILL "$1" 2>/dev/null || true
  while kill -0 "$1" 2>/dev/null && ! grep -q '^State:.Z' "/proc/$1/status" 2>/dev/null; do sleep 0.1; done
}

# Whether the server at a port says that it is well.
answers() { curl -sf -m "${2:-2}" -o /dev/null "http://127.0.0.1:$1/actuator/health"; }

# Runs the server: unpacked, with the archive of loaded classes that an earlier run left behind when it ended.
server_command() {
  local jar=server/target/server-0.1.0-app.jar app=$HOME_DIR/app
  # the archive itself always bears the same date, so that two builds of one source are alike
  if [ ! -f "$app/unpacked" ] || [ "$(stat -c %Z "$jar")" -ge "$(stat -c %Y "$app/unpacked")" ]; then
    rm -rf "$app"
    java -Djarmode=tools -jar "$jar" extract --destination "$app" >/dev/null
    touch "$app/unpacked"
  fi
  # short pauses rather than most throughput; threads that give way to others do so in the system's eyes as well
  SERVER=(java -XX:+UseG1GC -Xms1g -Xmx2g -Xshare:auto -XX:ThreadPriorityPolicy=1
    -XX:JavaPriority1_To_OSPriority=19 -XX:JavaPriority2_To_OSPriority=4)
  if [ -f "$app/classes.jsa" ]; then
    SERVER+=("-XX:SharedArchiveFile=$app/classes.jsa")
  else
    SERVER+=("-XX:ArchiveClassesAtExit=$app/classes.jsa")
  fi
  SERVER+=(-Xlog:cds=off -Xlog:cds+dynamic=off -jar "$app/server-0.1.0-app.jar")
}
