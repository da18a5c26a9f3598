#!/usr/bin/env bash
# What live lessons bear, with the program, the database and the class on this machine together:
#   setup/live.sh load [STUDENTS] [SECONDS]   so many students, an answer every 5 to 10 s each: the time from answer to wall
#   setup/live.sh idle [STUDENTS] [SECONDS]   so many who only listen
#   setup/live.sh killed [TIMES]              kill -9 of the program in mid-lesson: no acknowledged answer may be missing
#   setup/live.sh database [TIMES]            kill -9 of the database in mid-lesson: the same
# Each on a database of its own in a folder that goes away; the program must have been built (./start does).
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. setup/common.sh
. setup/database.sh
. setup/own_program.sh

port=18081
site=http://127.0.0.1:$port
# Each student has a connection and a socket, on both ends.
ulimit -n 65536 2>/dev/null || say "This machine lets few files be open: $(ulimit -n)."

sql() { mariadb --no-defaults --skip-ssl -h127.0.0.1 -P"$(cat "$work/db/port")" -uhoney -p"$(cat "$work/db/password")" -N -e "$1" 2>>"$work/sql.log"; }
serve() {
  "$program" serve --web web/dist --port "$port" --database-url "$database_url/honey_ladder" >>"$work/program.log" 2>&1 &
  served=$!
  local waited
  for ((waited = 0; waited < 600; waited++)); do
    curl -fs -o /dev/null -m 2 "$site/api/site" && return 0
    kill -0 "$served" 2>/dev/null || die "It does not start: $(tail -n 3 "$work/program.log")"
    sleep 0.1
  done
  die "It does not answer."
}
memory() { awk '/VmHWM/ {print int($2 / 1024) " MB"}' "/proc/$served/status"; }
# class STUDENTS SECONDS LEAST MOST: a class that thinks so long, in seconds.
class() { "$program" class --load orla:clover-and-heather --url "$site" --students "$1" --seconds "$2" --think "$3" "$4"; }
kept() { sql "SELECT COUNT(*) FROM honey_ladder.live_event WHERE JSON_VALUE(event, '\$.kind') = 'gave' AND token LIKE 'sim%'"; }
# compare: whether all that was acknowledged is there.
compare() {
  local acknowledged
  acknowledged=$(awk '/^acknowledged/ {print $2}' "$work/class.log")
  cat "$work/class.log"
  say "kept $(kept) answers of $acknowledged that were acknowledged"
  (( $(kept) >= acknowledged )) || { say "FAULT: acknowledged answers are missing"; exit 1; }
}

database_start "$work/db"
sql "CREATE DATABASE IF NOT EXISTS honey_ladder CHARACTER SET utf8mb4"
serve
case ${1:-} in
  load)
    class "${2:-2000}" "${3:-60}" 5 10
    say "memory of the program: $(memory)"
    ;;
  idle)
    class "${2:-5000}" "${3:-30}" 9000 9000
    say "memory of the program: $(memory)"
    ;;
  killed)
    times=${2:-20}
    class 100 $((times * 4)) 1 3 >"$work/class.log" 2>&1 &
    class_process=$!
    sleep 4
    for ((n = 0; n < times; n++)); do
      kill -9 "$served"
      wait "$served" 2>/dev/null
      serve
      sleep 2.5
    done
    wait "$class_process"
    compare
    ;;
  database)
    times=${2:-10}
    class 100 $((times * 8)) 1 3 >"$work/class.log" 2>&1 &
    class_process=$!
    sleep 4
    for ((n = 0; n < times; n++)); do
      kill -9 "$(cat "$work/db/pid")"
      sleep 1
      database_launch "$(cat "$work/db/port")"
      sleep 5
    done
    wait "$class_process"
    compare
    ;;
  *) die "Say what: load, idle, killed or database." ;;
esac
