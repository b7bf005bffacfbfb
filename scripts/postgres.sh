#!/usr/bin/env bash
# A PostgreSQL of the project's own on loopback.
#   postgres.sh start DATA_FOLDER PORT   makes the folder on first use; prints the password
#   postgres.sh stop DATA_FOLDER
#   postgres.sh stop-unused DATA_FOLDER PORT   stops it unless others are connected; fails then
#   postgres.sh alive DATA_FOLDER
set -euo pipefail

fail() { echo "$*" >&2; exit 1; }

bin=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)
[ -n "$bin" ] || fail "PostgreSQL is not installed: apt-get install postgresql"

# PostgreSQL refuses to run as root; Debian's package brings the user postgres.
as_user() {
  if [ "$(id -u)" = 0 ]; then (cd / && exec setpriv --reuid=postgres --regid=postgres --clear-groups "$@"); else "$@"; fi
}

start() {
  local data=$1 port=$2 log=$1/server.log
  mkdir -p "$data"
  [ "$(id -u)" = 0 ] && chown postgres:postgres "$data"
  chmod 700 "$data"
  as_user test -w "$data" || fail "The user postgres cannot reach $data: let others pass through its parent folders (chmod o+x), or set ROVING_DATA to another folder"
  if [ ! -s "$data/db/PG_VERSION" ]; then
    (umask 077; head -c 24 /dev/urandom | base64 | tr -d '/+=' > "$data/password")
    [ "$(id -u)" = 0 ] && chown postgres:postgres "$data/password"
    as_user "$bin/initdb" -D "$data/db" -U roving --pwfile="$data/password" --auth=scram-sha-256 \
      --encoding=UTF8 --locale=C.UTF-8 --no-sync > "$data/initdb.log" 2>&1 ||
      { cat "$data/initdb.log" >&2; rm -rf "$data/db"; fail "PostgreSQL could not make its data folder $data/db"; }
  fi
  if ! as_user "$bin/pg_ctl" -D "$data/db" status > /dev/null 2>&1; then
    (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null &&
      fail "Port $port, meant for PostgreSQL, is taken by another program. Stop that, or choose another: ROVING_PG_PORT=NNNN ./roving start"
    as_user "$bin/pg_ctl" -D "$data/db" -w -t 30 -l "$log" \
      -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c max_connections=60" \
      start > /dev/null || { as_user tail -n 5 "$log" >&2; fail "PostgreSQL did not start"; }
  fi
  local password
  password=$(as_user cat "$data/password")
  if ! PGPASSWORD=$password psql -h 127.0.0.1 -p "$port" -U roving -d roving -c '' > /dev/null 2>&1; then
    PGPASSWORD=$password createdb -h 127.0.0.1 -p "$port" -U roving roving ||
      fail "PostgreSQL runs, but the database roving could not be made"
  fi
  echo "$password"
}

stop() {
  as_user "$bin/pg_ctl" -D "$1/db" -m fast -w stop > /dev/null 2>&1 || true
}

# Whether somebody else has a connection to the database.
used() {
  local others
  others=$(PGPASSWORD=$(as_user cat "$1/password") psql -h 127.0.0.1 -p "$2" -U roving -d roving -Atc \
    "select count(*) from pg_stat_activity where datname = 'roving' and pid <> pg_backend_pid()" 2> /dev/null) || return 1
  [ "$others" -gt 0 ]
}

# The connections of a server that was killed go a moment after it.
stop_unused() {
  for _ in 1 2 3 4 5 6; do
    used "$1" "$2" || { stop "$1"; return 0; }
    sleep 0.5
  done
  return 1
}

# The number in the file may be that of another program by now.
alive() {
  local pid
  pid=$(as_user head -1 "$1/db/postmaster.pid" 2> /dev/null) || return 1
  grep -q '^postgres' "/proc/$pid/comm" 2> /dev/null
}

case ${1:-} in
  start) start "$2" "$3" ;;
  stop) stop "$2" ;;
  stop-unused) stop_unused "$2" "$3" ;;
  alive) alive "$2" ;;
  *) fail "postgres.sh start DATA_FOLDER PORT | stop DATA_FOLDER | stop-unused DATA_FOLDER PORT | alive DATA_FOLDER" ;;
esac
