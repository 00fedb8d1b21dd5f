#!/usr/bin/env bash
# Drills coming back to a moment from an archived write-ahead log, in a scratch folder: what was before it is there, what came after is not.
set -eu
cd "$(dirname "${BASH_SOURCE[0]}")/../.." || exit 1
. scripts/lib.sh
need_postgres
bin=$(pg_bin)
dir=$(mktemp -d /var/tmp/tidy-spool-moment.XXXXXX); chmod 755 "$dir"
mkdir "$dir/archive"; [ "$(id -u)" = 0 ] && chown -R postgres "$dir"
as() { if [ "$(id -u)" = 0 ]; then setpriv --reuid=postgres --regid=postgres --init-groups "$@"; else "$@"; fi; }
ctl() { as "$bin/pg_ctl" -w -s -D "$1" -o "-p 7099 -k $dir -c listen_addresses=" "$2" >/dev/null; }
ask() { as psql -qAt -h "$dir" -p 7099 postgres -c "$1"; }
trap 'ctl "$dir/back" stop 2>/dev/null || true; ctl "$dir/data" stop 2>/dev/null || true; rm -rf "$dir"' EXIT
as "$bin/initdb" -D "$dir/data" -A trust >/dev/null
printf "archive_mode=on\narchive_command='cp %%p %s/archive/%%f'\nwal_level=replica\n" "$dir" >> "$dir/data/postgresql.conf"
ctl "$dir/data" start
ask 'create table entry (n integer primary key)'
as "$bin/pg_basebackup" -h "$dir" -p 7099 -D "$dir/back" -X none
ask 'insert into entry select generate_series(1, 500)'
sleep 1; moment=$(ask 'select now()'); sleep 1
ask 'insert into entry select generate_series(501, 900)'
ask 'select pg_switch_wal()' >/dev/null; sleep 2
ctl "$dir/data" stop
printf "restore_command='cp %s/archive/%%f %%p'\nrecovery_target_time='%s'\nrecovery_target_action=promote\n" "$dir" "$moment" >> "$dir/back/postgresql.conf"
as touch "$dir/back/recovery.signal"
ctl "$dir/back" start
for _ in $(seq 50); do [ "$(ask 'select pg_is_in_recovery()')" = f ] && break; sleep 0.2; done
found=$(ask 'select count(*) || $$ $$ || max(n) from entry')
[ "$found" = '500 500' ] && say "Back at $moment: 500 entries, none after it." || die "Found $found instead of 500 500."
