# A private MariaDB in a folder of its own, on loopback, with its own port and socket. Sourced.
# It reads no configuration of the machine and touches no other MariaDB.

# database_start DIR: starts the server whose data is in DIR (made when missing) and sets database_url.
database_start() {
  local dir=$1
  mkdir -p "$dir" || die "The folder $dir cannot be made. Look at its permissions."
  dir=$(cd "$dir" && pwd)
  database_dir=$dir
  if [[ ! -d $dir/data ]]; then
    room "$dir" 500
    # Made beside its place and moved there whole: a first start that is cut off leaves nothing half-made.
    rm -rf "$dir/data.new"
    # From inside its folder: the program that sets it up takes a path apart at its spaces.
    if ! (cd "$dir" && mariadb-install-db --no-defaults --user="$(id -un)" --datadir=./data.new --skip-test-db \
        --auth-root-authentication-method=socket --auth-root-socket-user="$(id -un)" >install.log 2>&1); then
      rm -rf "$dir/data.new"
      die "The database could not be set up: $(tail -n 1 "$dir/install.log"). The whole story is in $dir/install.log."
    fi
    mv "$dir/data.new" "$dir/data"
  fi
  if [[ ! -s $dir/password ]]; then
    (umask 077 && od -An -N16 -tx1 /dev/urandom | tr -d ' \n' >"$dir/password")
  fi
  database_running || database_launch
  database_url="mysql://honey:$(cat "$dir/password")@127.0.0.1:$(cat "$dir/port")"
}

# Whether our server runs already, as after a start that was killed.
database_running() {
  local pid
  pid=$(cat "$database_dir/pid" 2>/dev/null) && [[ -n $pid ]] || return 1
  { tr '\0' ' ' <"/proc/$pid/cmdline"; } 2>/dev/null | grep -qF -- "--datadir=$database_dir/data"
}

# database_launch [PORT]: at that port, or at one that is free.
database_launch() {
  local attempt port waited
  (umask 077 && cat >"$database_dir/init.sql" <<SQL
CREATE DATABASE IF NOT EXISTS honey_ladder CHARACTER SET utf8mb4;
CREATE OR REPLACE USER honey@'127.0.0.1' IDENTIFIED BY '$(cat "$database_dir/password")';
GRANT ALL ON *.* TO honey@'127.0.0.1';
SQL
  )
  for attempt in 1 2 3; do
    [[ -f $database_dir/error.log ]] && mv "$database_dir/error.log" "$database_dir/error.log.before"
    port=${1:-$((20000 + RANDOM % 20000))}
    # Its socket is named from inside its own folder: a socket's path has a length limit.
    setsid mariadbd --no-defaults --user="$(id -un)" --datadir="$database_dir/data" \
      --bind-address=127.0.0.1 --port="$port" --socket=honey-ladder.sock --pid-file="$database_dir/pid" \
      --init-file="$database_dir/init.sql" --log-error="$database_dir/error.log" \
      --skip-name-resolve --skip-log-bin --character-set-server=utf8mb4 \
      --innodb-buffer-pool-size=128M </dev/null >/dev/null 2>&1 9>&- &
    local launched=$!
    for ((waited = 0; waited < 600; waited++)); do
      kill -0 "$launched" 2>/dev/null || break
      if [[ -s $database_dir/pid ]] && (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
        printf '%s' "$port" >"$database_dir/port"
        return 0
      fi
      sleep 0.1
    done
    kill "$launched" 2>/dev/null
    grep -qi "address already in use" "$database_dir/error.log" 2>/dev/null || break
  done
  local why
  why=$(grep -m 1 '\[ERROR\]' "$database_dir/error.log" 2>/dev/null | sed 's/.*\[ERROR\] //')
  die "The database did not start: ${why:-no reason given}.
Its whole story is in $database_dir/error.log. If its folder is broken, move $database_dir elsewhere (the lessons are in it) and start again."
}

# Starts the server again whenever it has ended, at the same port; never comes back.
database_watch() {
  while sleep 1; do
    database_running && continue
    say "The database has ended, and is started again. Why it ended is in $database_dir/error.log.before."
    # What cannot be started now, such as on a full disk, may be later.
    (database_launch "$(cat "$database_dir/port")") || sleep 10
  done
}

# Stops the server that database_start started or found.
database_stop() {
  [[ -n ${database_dir:-} ]] && database_running || return 0
  local pid waited
  pid=$(cat "$database_dir/pid")
  kill "$pid" 2>/dev/null
  for ((waited = 0; waited < 600; waited++)); do
    kill -0 "$pid" 2>/dev/null || return 0
    sleep 0.1
  done
}
