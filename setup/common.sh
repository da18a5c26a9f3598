# What ./start and ./test share: words, packages, the build. Sourced, never run.

say() { printf '%s\n' "$*"; }
die() { printf '%s\n' "$*" >&2; exit 1; }

# need COMMAND PACKAGE ...: pairs; installs Debian packages whose commands are missing.
need() {
  local missing=()
  while (($#)); do
    command -v "$1" >/dev/null || missing+=("$2")
    shift 2
  done
  ((${#missing[@]})) || return 0
  local as_root=()
  if ((EUID != 0)); then
    sudo -n true 2>/dev/null || die "Please install first: sudo apt-get install ${missing[*]}"
    as_root=(sudo -n)
  fi
  command -v apt-get >/dev/null || die "Please install first: ${missing[*]} (no apt-get here)"
  say "Installing ${missing[*]} ..."
  local log
  log=$(mktemp)
  # Only this run's list of packages may be old: it is renewed before anything is installed.
  if ! { "${as_root[@]}" apt-get update \
      && "${as_root[@]}" env DEBIAN_FRONTEND=noninteractive apt-get install -y "${missing[@]}"; } >"$log" 2>&1; then
    tail -n 5 "$log" >&2
    die "The packages could not be installed. Please try: sudo apt-get install ${missing[*]}"
  fi
  rm -f "$log"
}

# The two toolchains that Debian's packages do not bring in the versions needed.
need_toolchains() {
  command -v cargo >/dev/null || die "Rust is missing. Install it from https://rustup.rs (1.95 or newer), then try again."
  command -v npm >/dev/null || die "Node is missing. Install Node 20 or newer with npm, then try again."
  local major
  major=$(node --version) && major=${major#v} && major=${major%%.*}
  ((major >= 20)) || die "Node $(node --version) is too old. Install Node 20 or newer, then try again."
}

# room DIR MEGABYTES: ends with a clear line when the disk is too full.
room() {
  local free
  free=$(df -Pm "$1" | awk 'NR == 2 { print $4 }')
  ((free >= $2)) || die "The disk is too full: $2 MB are needed in $(cd "$1" && pwd), $free MB are free."
}

target_dir() { printf '%s' "${CARGO_TARGET_DIR:-$PWD/target}"; }

# The packages of the front end, when the lock file changed since they were installed.
web_packages() {
  local stamp=web/node_modules/.installed
  [[ -f $stamp && ! web/package-lock.json -nt $stamp ]] && return 0
  (cd web && npm ci --no-audit --no-fund --loglevel=error) || die "The front end's packages could not be installed (see above)."
  touch "$stamp"
}

# The front end itself, when a source is newer than what was built.
web_build() {
  local built=web/dist/index.html
  if [[ -f $built ]] && [[ -z $(find web/src web/public web/index.html web/openapi.json web/package-lock.json web/vite.config.ts web/tsconfig.json -newer "$built" -print -quit) ]]; then
    return 0
  fi
  (cd web && npm run --silent types && npm run --silent build -- --logLevel warn) || die "The front end could not be built (see above)."
}
