#!/usr/bin/env bash
# What a school's machine does at the worst moment, over and over:
#   setup/faults.sh first-start [TIMES]   kill -9 during the first start, then a start that must be whole
#   setup/faults.sh twice [TIMES]         two first starts at once on one database
#   setup/faults.sh killed [TIMES]        kill -9 of the program while a class writes: no saved line may be missing
#   setup/faults.sh away [SECONDS]        so long without a database, while a class writes
#   setup/faults.sh stopped               SIGTERM while connections stand half open: it must end within 10 s
#   setup/faults.sh flood [TIMES]         how long one student waits for a verdict while another floods with the worst lines
#   setup/faults.sh bad-inputs [TIMES]    hostile lines, texts, figures and files: no death, no answer over 2 s, under 400 MB
# Each on a database of its own in a folder that goes away; the program must have been built (./start does).
set -u
cd "$(dirname "${BASH_SOURCE[0]}")/.." || exit 1
. setup/common.sh
. setup/database.sh
. setup/own_program.sh
need jq jq

port=18080
site=http://127.0.0.1:$port

sql() { mariadb --no-defaults --skip-ssl -h127.0.0.1 -P"$(cat "$work/db/port")" -uhoney -p"$(cat "$work/db/password")" -N -e "$1" 2>>"$work/sql.log"; }
empty() { sql "DROP DATABASE IF EXISTS honey_ladder; CREATE DATABASE honey_ladder CHARACTER SET utf8mb4"; }
# serve [PORT]: starts the program; `served` is its process.
serve() {
  "$program" serve --web web/dist --port "${1:-$port}" --database-url "$database_url/honey_ladder" >>"$work/program.log" 2>&1 &
  served=$!
}
# ready: waits until it answers; fails when it has ended.
ready() {
  local waited
  for ((waited = 0; waited < 600; waited++)); do
    curl -fs -o /dev/null -m 2 "$site/api/site" && return 0
    kill -0 "$served" 2>/dev/null || return 1
    sleep 0.05
  done
  return 1
}
# begin: the program on an empty database.
begin() { empty && serve && ready || fault "it does not start at all"; }
end_served() {
  kill -9 "$served" 2>/dev/null
  wait "$served" 2>/dev/null
  served=
}
# counts: what the demo world is made of.
counts() { sql "SELECT (SELECT COUNT(*) FROM honey_ladder.teacher), (SELECT COUNT(*) FROM honey_ladder.lesson), (SELECT COUNT(*) FROM honey_ladder.ladder), (SELECT COUNT(*) FROM honey_ladder.desk), (SELECT COUNT(*) FROM honey_ladder.desk_rung)"; }
fault() {
  say "FAULT: $*"
  tail -n 5 "$work/program.log"
  exit 1
}

# A signed-in teacher's first ladder: its desk's address is in `desk`.
sit() {
  curl -fs -c "$work/teacher" -H 'content-type: application/json' -d '{"sign_in":"orla","password":"clover-and-heather"}' "$site/api/sign-in" >/dev/null || fault "nobody can sign in"
  local ladder
  ladder=$(curl -fs -b "$work/teacher" "$site/api/ladders" | jq -r '.entries[0].id')
  desk=$(curl -fs -b "$work/teacher" "$site/api/ladders/$ladder" | jq -r .desk)
  curl -fs -c "$work/student" -H 'content-type: application/json' -d "{\"name\":\"Hana $RANDOM$RANDOM\"}" "$site/api$desk/join" >/dev/null || fault "nobody can sit down"
}
# lines N: the body of a save based on revision N.
lines() { printf '{"based_on":%d,"lines":[{"text":"x = %d"}]}' "$1" "$1"; }
# put N: saves; tells the status.
put() { curl -s -o "$work/answer" -w '%{http_code}' -m 8 -b "$work/student" -X PUT -H 'content-type: application/json' -d "$(lines "$1")" "$site/api$desk/rungs/1"; }
stands() { curl -fs -b "$work/student" "$site/api$desk" | jq -r '.written[0].revision // 0'; }

# hostile_lines: those that were once found, cut, repeated and nested.
hostile_lines() {
  local file line
  for file in crates/protocol/tests/corpus/*.txt; do
    while IFS= read -r line; do
      printf '%s\n' "${line%% -> *}" "${line##* -> }" "${line:0:$((RANDOM % 60 + 1))}" "($line)^$line" "√$line/$line"
    done <"$file"
  done | cut -c 1-12000
  for line in '1+' '((' '2^' '√' 'x³ ' '\\frac{1}{' '10^' '>' '\u0000' '9' 'sin ' '|' '½' '🐝' '= ' '$' '**' '[' '<a>'; do
    for count in 3 30 300 3000; do printf "%0.s$line" $(seq "$count"); echo; done
  done
}

# verdicts N: milliseconds that the student waits for each of N saved and judged lines, sorted.
verdicts() {
  local at
  for ((at = 0; at < $1; at++)); do
    curl -s -o "$work/answer" -w '%{http_code} %{time_total}\n' -m 30 -b "$work/student" -X PUT -H 'content-type: application/json' -d "$(lines "$saved")" "$site/api$desk/rungs/1"
    saved=$((saved + 1))
  done | awk '{ print ($1 == 200 ? int($2 * 1000) : 99999) }' | sort -n
}
# flood_of WHO: sends the worst lines as this one, each time new ones, four at a time; tells what they took.
flood_of() {
  local count=0
  while :; do
    for rung in 2 3 4 5; do
      count=$((count + 1))
      sed "s/\"text\":\"/\"text\":\"$count + /g" "$work/flood" >"$work/flood.$rung"
      curl -s -o /dev/null -w '%{http_code} %{time_total}\n' -m 30 -b "$work/$1" -X PUT -H 'content-type: application/json' --data-binary @"$work/flood.$rung" "$site/api$desk/rungs/$rung" >>"$work/flooded" &
    done
    wait
  done
}

# hostile_figures: one a line.
hostile_figures() {
  local n
  for n in -1 0 1e12 1e300 4294967295 60000 0.5; do
    printf '%s\n' \
      "{\"kind\":\"circle\",\"radius\":\"\",\"diameter\":\"\",\"arc\":[0,$n],\"arc_label\":\"\",\"central\":\"\",\"inscribed\":\"\",\"inner_label\":\"\"}" \
      "{\"kind\":\"groups\",\"names\":[\"a\",\"b\"],\"each\":[$n,$n],\"groups\":$n}" \
      "{\"kind\":\"ruler\",\"length\":$n,\"thing\":[0,$n],\"label\":\"x\"}" \
      "{\"kind\":\"number_line\",\"from\":0,\"to\":$n,\"points\":[{\"at\":$n,\"label\":\"x\"}]}" \
      "{\"kind\":\"dot_array\",\"rows\":$n,\"columns\":$n,\"filled\":$n}" \
      "{\"kind\":\"graph\",\"letter\":\"x\",\"x\":[0,$n],\"y\":[0,$n],\"curves\":[],\"points\":[]}" \
      "{\"kind\":\"tally\",\"count\":$n}" \
      "{\"kind\":\"percent_bar\",\"percent\":$n,\"part\":\"x\",\"whole\":\"60\"}" \
      "{\"kind\":\"strips\",\"strips\":[{\"parts\":$n,\"shaded\":$n,\"label\":\"x\"}]}"
  done
  jq -nc '{kind: "family_tree", nodes: [range(60000) | {value: "a", of: (if . == 0 then null else 0 end)}]}'
  jq -nc '{kind: "table", heads: [], rows: [range(2000) | ["1", "2"]]}'
}

database_start "$work/db"
case "${1:-}" in
  first-start)
    times=${2:-50}
    begin
    whole=$(counts)
    end_served
    for ((at = 1; at <= times; at++)); do
      empty
      serve
      sleep "0.$(printf '%03d' $((RANDOM % 900)))"
      end_served
      serve
      ready || fault "after kill $at it does not start"
      [[ $(counts) == "$whole" ]] || fault "after kill $at the demo world is $(counts), not $whole"
      end_served
    done
    say "$times kills during the first start: each time the next start was whole ($whole)." ;;
  twice)
    times=${2:-5}
    for ((at = 1; at <= times; at++)); do
      empty
      serve $((port + 1))
      first=$served
      serve
      ready || fault "one of two starts did not come up"
      kill -0 "$first" 2>/dev/null || fault "the other one ended"
      [[ $(sql "SELECT COUNT(*) FROM honey_ladder.teacher") == 1 ]] || fault "the demo world was loaded twice"
      kill -9 "$first"
      end_served
    done
    say "$times times two first starts at once: both came up, on one demo world." ;;
  killed)
    times=${2:-50}
    begin
    sit
    saved=0
    for ((at = 1; at <= times; at++)); do
      (sleep "0.$(printf '%03d' $((RANDOM % 400)))" && kill -9 "$served") &
      while status=$(put "$saved"); [[ $status == 200 ]]; do saved=$((saved + 1)); done
      wait $! 2>/dev/null
      end_served
      serve
      ready || fault "after kill $at it does not start"
      now=$(stands)
      ((now == saved || now == saved + 1)) || fault "after kill $at revision $now stands, and $saved was acknowledged"
      # The same lines once more are known, whether or not their answer was lost.
      [[ $(put "$saved") == 200 ]] || fault "after kill $at the same save is refused: $(cat "$work/answer")"
      saved=$((saved + 1))
    done
    end_served
    say "$times kills while a student wrote: $saved saves, every acknowledged one stands." ;;
  away)
    seconds=${2:-30}
    begin
    sit
    [[ $(put 0) == 200 ]] || fault "a line is not saved"
    database_stop
    slowest=0
    for ((until = SECONDS + seconds; SECONDS < until; )); do
      began=$SECONDS
      status=$(put 1)
      [[ $status == 5* ]] || fault "without a database it answers $status: $(cat "$work/answer")"
      ((SECONDS - began > slowest)) && slowest=$((SECONDS - began))
    done
    database_launch "$(cat "$work/db/port")"
    [[ $(put 1) == 200 ]] || fault "with the database back it answers: $(cat "$work/answer")"
    end_served
    say "$seconds s without a database: told each time, within $slowest s; then it went on." ;;
  stopped)
    begin
    for ((at = 0; at < 20; at++)); do
      exec {half}<>"/dev/tcp/127.0.0.1/$port"
      printf 'GET /api/site HTTP/1.1\r\nHost: loc' >&"$half"
    done
    began=$SECONDS
    kill "$served"
    wait "$served"
    ((SECONDS - began <= 10)) || fault "it took $((SECONDS - began)) s to stop"
    served=
    say "It stopped within $((SECONDS - began + 1)) s beside 20 half-sent heads." ;;
  flood)
    times=${2:-200}
    begin
    sit
    cp "$work/student" "$work/flooder"
    curl -fs -c "$work/student" -H 'content-type: application/json' -d "{\"name\":\"Bo $RANDOM\"}" "$site/api$desk/join" >/dev/null || fault "nobody else can sit down"
    # Twelve of the lines that cost most, and no revision: nothing of them is saved, all of them are judged.
    grep -v '^#' crates/protocol/tests/corpus/found.txt | awk '{ sub(/ -> .*/, "") } length > 40' | head -n 12 |
      jq -R -s -c '{based_on: 0, lines: (split("\n") | map(select(. != "") | {text: .[:2000]}))}' >"$work/flood"
    saved=0
    verdicts "$times" >"$work/alone"
    saved=$times
    flood_of flooder &
    flood=$!
    sleep 1
    verdicts "$times" >"$work/beside"
    kill "$flood" 2>/dev/null
    end_served
    tell() { awk -v what="$1" '{ all[NR] = $1 } END { printf "%s: half within %d ms, 99 of 100 within %d ms, the slowest %d ms. ", what, all[int((NR + 1) / 2)], all[int(NR * 0.99)], all[NR] }' "$2"; }
    say "$(awk '{ told[$1]++; sum += $2 } END { for (status in told) printf "%d answers %s to the flood, ", told[status], status; printf "%.1f s each.", sum / NR }' "$work/flooded")"
    say "$times verdicts. $(tell 'Alone' "$work/alone")$(tell 'Beside the flood' "$work/beside")" ;;
  bad-inputs)
    times=${2:-7000}
    begin
    sit
    lesson=$(curl -fs -b "$work/teacher" "$site/api/lessons" | jq -r '.entries[0].id')
    opened=$(curl -fs -b "$work/teacher" "$site/api/lessons/$lesson" | jq -c '{based_on: .revision, lesson}')
    hostile_lines >"$work/lines"
    jq -R -c --arg desk "$site/api$desk/rungs/2" '. as $line | (
        {to: $desk, as: "student", how: "PUT", body: {based_on: 0, lines: [{text: $line}, {text: $line, latex: true}]}},
        {to: "/api/board", body: {lines: [{text: $line}, {text: "x = 1"}]}},
        {to: "/api/examples", body: {kind: "typed", problem: {text: $line[:300]}}},
        {to: "/api/second-look/text", body: {text: ("Solve $" + $line + "$.\n\n" + $line + "\n\n| a | b |\n|---|---|\n| " + $line + " | 1 |")}},
        {to: "/api/pictures", body: {kind: "graph", values: [$line[:120], "-5", "5"]}},
        {to: "/api/lessons/file", body: {text: ("# " + $line + "\n\n" + $line), grade: 6, strand: "number", minutes: 45}}
      )' "$work/lines" >"$work/bodies"
    printf '%s' "$opened" >"$work/opened"
    hostile_figures | jq -c --slurpfile opened "$work/opened" --arg to "/api/lessons/$lesson" \
      '. as $figure | $opened[0] | .lesson.slides[0].blocks = [{kind: "picture", figure: $figure, caption: ""}] | {to: $to, how: "PUT", body: .}' >>"$work/bodies"
    shuf "$work/bodies" -o "$work/bodies"
    sent=0 slowest=0 most=0
    declare -A told=()
    while ((sent < times)); do
      while IFS= read -r one && ((sent < times)); do
        jq -c .body <<<"$one" >"$work/body"
        IFS=$'\t' read -r to who how < <(jq -r '[(.to | if startswith("/") then . else .[("'"$site"'" | length):] end), (.as // "teacher"), (.how // "POST")] | @tsv' <<<"$one")
        read -r status took < <(curl -s -o "$work/answer" -w '%{http_code} %{time_total}\n' -m 30 -b "$work/$who" -X "$how" -H 'content-type: application/json' --data-binary @"$work/body" "$site$to")
        kill -0 "$served" 2>/dev/null || fault "it died of $(head -c 300 "$work/body") at $to"
        [[ $status == 000 || $status == 500 ]] && fault "$status for $(head -c 300 "$work/body") at $to: $(cat "$work/answer")"
        took=$(awk -v t="$took" 'BEGIN { printf "%d", t * 1000 }')
        ((took > 2000)) && fault "$took ms for $(head -c 300 "$work/body") at $to"
        ((took > slowest)) && slowest=$took
        told[$status]=$((${told[$status]:-0} + 1))
        sent=$((sent + 1))
      done <"$work/bodies"
      # The next round is of other lines.
      shuf "$work/bodies" -o "$work/bodies"
    done
    most=$(awk '/VmHWM/ { print int($2 / 1024) }' "/proc/$served/status")
    ((most < 400)) || fault "it took $most MB"
    end_served
    say "$sent bad inputs: no death, $slowest ms at most, $most MB at most. Answers: $(for status in "${!told[@]}"; do printf '%s %s, ' "${told[$status]}" "$status"; done)" ;;
  *) sed -n '2,11s/^# \{0,1\}//p' "$0" ; exit 2 ;;
esac
