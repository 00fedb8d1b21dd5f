#!/usr/bin/env bash
# A database that takes over: three nodes, a proxy, two processes of the app; the primary killed and frozen under load.
#   npm run torture -- cluster [kills] [freezes]
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. scripts/lib.sh
need_postgres
missing=
for p in patroni etcd haproxy curl; do command -v "$p" >/dev/null 2>&1 || missing=1; done
if [ -n "$missing" ]; then
  # Nothing of it is to start by itself on this machine.
  held=; [ -e /usr/sbin/policy-rc.d ] || { printf '#!/bin/sh\nexit 101\n' > /usr/sbin/policy-rc.d && chmod +x /usr/sbin/policy-rc.d && held=1; }
  need_packages patroni python3-etcd etcd-server etcd-client haproxy curl
  [ -z "$held" ] || rm -f /usr/sbin/policy-rc.d
fi
NODE_ENV=development need_modules
NODE_ENV=production need_build
export DIR; DIR=$(mktemp -d /var/tmp/tidy-spool-cluster.XXXXXX); chmod 755 "$DIR"
export PGBIN; PGBIN=$(pg_bin)
cluster=scripts/cluster/cluster.sh
trap 'bash $cluster down >/dev/null 2>&1; rm -rf "$DIR"' EXIT
say "Setting up three nodes in $DIR…"
bash $cluster up || die "The cluster did not come up; see $DIR."
node --import tsx scripts/torture-cluster.ts "$DIR" "${1:-5}" "${2:-2}"
