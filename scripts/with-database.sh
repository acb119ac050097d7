#!/usr/bin/env bash
# Runs a command with a database of its own, which ends with it: scripts/with-database.sh COMMAND ...
set -euo pipefail
cd "$(dirname "$0")/.."
. scripts/prepare.sh
. scripts/database.sh
mkdir -p .data
scratch=$(mktemp -d .data/scratch-XXXXXX)
trap 'trap "" INT TERM; stop_database; rm -rf "$scratch"' EXIT
trap 'exit 130' INT
trap 'exit 143' TERM
[ -n "${DATABASE_URL:-}" ] || start_database "$scratch/database" >&2
"$@"
