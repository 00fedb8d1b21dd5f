#!/usr/bin/env bash
# Runs a command with a scratch PostgreSQL cluster that goes away afterwards; TEST_PG_URL says where it is. Whatever the
# command puts aside for a while (TMPDIR) goes with it.
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. scripts/lib.sh
need_postgres
# In memory, where there is room: a database is made in a twentieth of the time, and a browser's pages need no disk.
free_mb() { df -Pm "$1" 2>/dev/null | awk 'NR==2 {print $4}'; }
room=/var/tmp; [ -w /dev/shm ] && [ "$(free_mb /dev/shm)" -ge 6000 ] && room=/dev/shm
scratch=$(mktemp -d "$room/tidy-spool-test.XXXXXX")
mkdir -m 1777 "$scratch/tmp"; chmod 755 "$scratch"
cleanup() { trap '' EXIT INT TERM; cluster_stop "$scratch/cluster"; rm -rf "$scratch"; }
trap cleanup EXIT
trap 'exit 130' INT TERM
cluster_start "$scratch/cluster" fast
unset DATABASE_URL
export TEST_PG_URL="$PG_URL" TMPDIR="$scratch/tmp"
"$@"
exit $?
