# Shared by the shell scripts in bin/. Sourced, never run.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
cd "$ROOT"
mkdir -p tmp
export BUNDLE_SILENCE_ROOT_WARNING=1 LANG=C.UTF-8
say() { printf '\033[2m· %s\033[0m\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }
