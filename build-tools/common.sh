# Shared by ./bucina and ./verify: find a JDK 25 and Maven, see that the display libraries are there, lend a display. Sourced, not run.

say() { printf '%s\n' "$*" >&2; }

# Sets HOME and a UTF-8 locale where there is none, and SCRATCH to a folder with room where programs may be unpacked. find_places FALLBACK
find_places() {
  if [ -z "${HOME:-}" ]; then HOME="$(getent passwd "$(id -u)" 2>/dev/null | cut -d: -f6)"; export HOME="${HOME:-$1}"; fi
  # Names and paths are UTF-8, also where the locale is C: Java takes what a locale lacks for question marks.
  if [ "$(uname -s)" = Linux ]; then
    case "${LC_ALL:-${LC_CTYPE:-${LANG:-}}}" in *[Uu][Tt][Ff]*8*) ;; *) export LC_ALL=C.UTF-8 ;; esac
  fi
  for SCRATCH in "${TMPDIR:-/tmp}" "$1" "$HOME/.cache/bucina"; do unpacks "$SCRATCH" && return 0; done
  SCRATCH="${TMPDIR:-/tmp}"
}

# True if there is room in a folder and what lies there may be run.
unpacks() {
  local try="$1/.bucina-$$" ok=1
  mkdir -p "$1" 2>/dev/null || return 1
  if { printf '#!/bin/sh\nexit 0\n'; head -c 3000000 /dev/zero; } 2>/dev/null >"$try" && chmod +x "$try" && "$try" 2>/dev/null; then ok=0; fi
  rm -f "$try"
  return $ok
}

# How memory is cleared where there is a window: a part at a time, in pauses of some 20 ms. The collectors that work beside the program are not taken: the
# generational Shenandoah of Java 25 put dead objects into the window within an hour in fast motion (docs/decisions.md, 126).
WINDOW_MEMORY=(-XX:+UseG1GC -XX:MaxGCPauseMillis=20 -Xmx2g)

# How a window is compiled: by the first compiler alone, which is soon done, and what is run a few times only is not compiled for that. The start is a tenth shorter.
WINDOW_START=(-XX:TieredStopAtLevel=1 -XX:CompileThresholdScaling=4)

# Unpacks SQLite for this machine once, and sets SQLITE to the flags that take it from there: otherwise each start unpacks it, looks through the whole of /tmp,
# and leaves it there where it is killed. unpack_sqlite LIBRARIES FOLDER
unpack_sqlite() {
  local name=libsqlitejdbc.so jar place inside="org/sqlite/native/Linux/$(uname -m)"
  SQLITE=()
  [ "$(uname -s)" = Linux ] || return 0
  jar="$(find "$(cd "$1" && pwd)" -name 'sqlite-jdbc-*.jar' -print -quit)"
  # By its version: another one's Java never meets it.
  place="$2/$(basename "$jar" .jar)"
  if [ ! -f "$place/$name" ]; then
    mkdir -p "$place" 2>/dev/null && unpacks "$place" || return 0
    (cd "$place" && "$JAVA_HOME/bin/jar" xf "$jar" "$inside/$name" && mv "$inside/$name" . && rm -r org) 2>/dev/null || return 0
  fi
  SQLITE=("-Dorg.sqlite.lib.path=$place" "-Dorg.sqlite.tmpdir=$place")
}

# Sets JAVA_HOME to a JDK 25 or newer, or stops with what is missing.
find_jdk() {
  local candidate
  for candidate in "${JAVA_HOME:-}" "$(dirname "$(dirname "$(readlink -f "$(command -v javac 2>/dev/null)" 2>/dev/null)")" 2>/dev/null)" \
      /usr/lib/jvm/*25* /opt/*jdk*25* "$HOME"/.sdkman/candidates/java/25* "$HOME"/.jdks/*25* /Library/Java/JavaVirtualMachines/*25*/Contents/Home; do
    [ -x "$candidate/bin/javac" ] || continue
    [ -f "$candidate/release" ] && grep -qE '^JAVA_VERSION="(2[5-9]|[3-9][0-9])' "$candidate/release" || continue
    export JAVA_HOME="$candidate" PATH="$candidate/bin:$PATH"
    return 0
  done
  say "Bucina needs a JDK 25 and found none in JAVA_HOME, on the PATH or in the usual places."
  say "Install one (on Debian: a package such as temurin-25-jdk or openjdk-25-jdk) or set JAVA_HOME to it."
  exit 1
}

# Installs Debian packages where that is allowed, otherwise names them. need WHAT-FOR PACKAGE...
need() {
  local what="$1"; shift
  if [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null 2>&1; then
    say "Installing what $what needs: $*"
    { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@"; } >/dev/null 2>&1 && return 0
    say "They could not be installed."
  fi
  say "Missing for $what: $*"
  say "Install them and start again; on Debian: sudo apt-get install $*"
  exit 1
}

find_maven() { command -v mvn >/dev/null 2>&1 || need "building" maven; export MAVEN_OPTS="--sun-misc-unsafe-memory-access=allow ${MAVEN_OPTS:-}"; }

# The libraries that JavaFX draws with on Linux.
find_display_libraries() {
  [ "$(uname -s)" = Linux ] || return 0
  local missing=() lib
  for lib in libgtk-3.so.0:libgtk-3-0 libGL.so.1:libgl1 libXtst.so.6:libxtst6 libXxf86vm.so.1:libxxf86vm1 libfreetype.so.6:libfreetype6; do
    ldconfig -p 2>/dev/null | grep -q "${lib%%:*}" || missing+=("${lib##*:}")
  done
  # The program brings its typefaces, but JavaFX does not start where the system has none at all.
  command -v fc-list >/dev/null 2>&1 && [ -n "$(fc-list 2>/dev/null | head -n 1)" ] || missing+=(fontconfig fonts-dejavu-core)
  [ "${#missing[@]}" = 0 ] || need "the window" "${missing[@]}"
}

# Starts a virtual display of its own and sets DISPLAY. Call lend_display_off to end it.
lend_display() {
  command -v Xvfb >/dev/null 2>&1 || need "a virtual display" xvfb
  local number log; number=$(mktemp); log=$(mktemp)
  # In a session of its own: what ends the window from a terminal must not take the display away under it.
  setsid Xvfb -displayfd 3 -screen 0 1280x800x24 -nolisten tcp 3>"$number" 2>"$log" &
  XVFB_PID="${XVFB_PID:-} $!"
  for _ in $(seq 100); do [ -s "$number" ] && break; kill -0 $! 2>/dev/null || break; sleep 0.1; done
  if [ ! -s "$number" ]; then say "The virtual display did not start:"; cat "$log" >&2; exit 1; fi
  export DISPLAY=":$(cat "$number")"
  rm -f "$number" "$log"
}

# Starts three displays whose numbers differ in their last digit, 1 to 3, and sets DISPLAYS to what stands before it.
lend_displays() {
  command -v Xvfb >/dev/null 2>&1 || need "a virtual display" xvfb
  local tens n pids
  for tens in $(seq 10 99); do
    [ ! -e "/tmp/.X${tens}1-lock" ] && [ ! -e "/tmp/.X${tens}2-lock" ] && [ ! -e "/tmp/.X${tens}3-lock" ] || continue
    pids=
    for n in 1 2 3; do
      # Without repeating a key that is held: on a busy machine one press would count as many.
      Xvfb ":$tens$n" -r -screen 0 1280x800x24 -nolisten tcp >/dev/null 2>&1 &
      pids="$pids $!"
    done
    for _ in $(seq 50); do [ -e "/tmp/.X11-unix/X${tens}1" ] && [ -e "/tmp/.X11-unix/X${tens}2" ] && [ -e "/tmp/.X11-unix/X${tens}3" ] && break; sleep 0.1; done
    sleep 0.3
    XVFB_PID="${XVFB_PID:-}$pids"
    if kill -0 $pids 2>/dev/null; then DISPLAYS="$tens"; export DISPLAY=":${tens}1"; return 0; fi
  done
  say "No three virtual displays could be started."
  exit 1
}

lend_display_off() { [ -z "${XVFB_PID:-}" ] || { kill $XVFB_PID 2>/dev/null; wait $XVFB_PID 2>/dev/null; XVFB_PID=; } || true; }
