#!/usr/bin/env bash
# Kills, cuts and floods (scripts/torture.ts), then first starts cut at every fifth of a second. npm run torture [-- cluster]
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
[ "${1:-}" != cluster ] || { shift; exec scripts/torture-cluster.sh "$@"; }
. scripts/lib.sh
need_postgres
NODE_ENV=production need_build
scratch=$(mktemp -d /var/tmp/tidy-spool-torture.XXXXXX)
trap 'cluster_stop "$scratch"; rm -rf "$scratch"' EXIT
cluster_start "$scratch" safe
TEST_PG_URL=$PG_URL TORTURE_DATA=$scratch node --import tsx scripts/torture.ts "${1:-1000}" "${2:-10000}"

tried=0 well=0
for tenths in $(seq 2 2 "${3:-50}"); do
  data=$(mktemp -d /var/tmp/tidy-spool-cut.XXXXXX); chmod 755 "$data"
  TIDY_SPOOL_DATA=$data PORT=3295 setsid ./start >/dev/null 2>&1 & first=$!
  sleep "$((tenths / 10)).$((tenths % 10))"
  kill -KILL -- "-$first" 2>/dev/null
  wait "$first" 2>/dev/null
  TIDY_SPOOL_DATA=$data PORT=3295 setsid ./start >"$data.log" 2>&1 & again=$!
  for _ in $(seq 1 300); do grep -q 'is ready' "$data.log" && break; kill -0 "$again" 2>/dev/null || break; sleep 0.2; done
  tried=$((tried + 1)); grep -q 'is ready' "$data.log" && well=$((well + 1)) || tail -n 2 "$data.log"
  kill -TERM -- "-$again" 2>/dev/null; wait "$again" 2>/dev/null
  rm -rf "$data" "$data.log"
done
echo "$tried first starts cut: $well recovered"
