# Shared by the shell scripts in bin/. Sourced, never run.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
mkdir -p tmp
export BUNDLE_SILENCE_ROOT_WARNING=1 LANG=C.UTF-8
say() { printf '\033[2m· %s\033[0m\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

# A step of set-up, quiet while it works: step LOG SENTENCE COMMAND…
# Where the command fails, the sentence is all that is said, with the name of the log that holds the rest.
step() {
  local log="$1" sentence="$2"
  shift 2
  "$@" >"$log" 2>&1 </dev/null || fail "$sentence The whole story is in $log."
}

# apt-get, waiting up to five minutes for another one that holds its locks.
apt() {
  local deadline=$((SECONDS + ${APT_PATIENCE:-300})) out
  out="$(mktemp)"
  until "${APT_GET:-apt-get}" -o DPkg::Lock::Timeout=60 "$@" >"$out" 2>&1; do
    cat "$out"
    if ! grep -qE 'Could not get lock|Unable to (lock|acquire)' "$out" || [ "$SECONDS" -ge "$deadline" ]; then
      rm -f "$out"
      return 1
    fi
    sleep "${APT_PAUSE:-3}"
  done
  cat "$out"
  rm -f "$out"
}
