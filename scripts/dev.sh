#!/usr/bin/env bash
# The app for daily work: as ./start, but rebuilt at every change.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. scripts/lib.sh
export NEXT_TELEMETRY_DISABLED=1
need_node
need_modules
database_up
trap 'database_down' EXIT
trap 'exit 130' INT TERM
node_modules/.bin/tsx src/demo/prepare.ts || exit 1
node_modules/.bin/next dev --hostname "${HOST:-127.0.0.1}" --port "${PORT:-3111}"
