#!/usr/bin/env bash
# Runs a command with a scratch PostgreSQL cluster that goes away afterwards; TEST_PG_URL says where it is.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. scripts/lib.sh
need_postgres
scratch=$(mktemp -d /var/tmp/tidy-spool-test.XXXXXX)
cleanup() { trap '' EXIT INT TERM; cluster_stop "$scratch"; rm -rf "$scratch"; }
trap cleanup EXIT
trap 'exit 130' INT TERM
cluster_start "$scratch" fast
unset DATABASE_URL
export TEST_PG_URL="$PG_URL"
"$@"
exit $?
