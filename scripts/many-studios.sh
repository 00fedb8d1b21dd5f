#!/usr/bin/env bash
# One database a studio, many studios: the app started for each in turn; its start time and memory measured. scripts/many-studios.sh [studios]
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. scripts/lib.sh
need_postgres
NODE_ENV=production need_build
many=${1:-200}
scratch=$(mktemp -d /var/tmp/tidy-spool-many.XXXXXX)
trap 'cluster_stop "$scratch"; rm -rf "$scratch"' EXIT
cluster_start "$scratch" safe
node --import tsx scripts/many-studios.ts "$PG_URL" "$many"
