# Shared by ./start and ./test: installs what is missing and finds PostgreSQL. Sourced, never run.

say() { printf '%s\n' "$*"; }
fail() { printf '\n%s\n' "$*" >&2; exit 1; }

need_node() {
  command -v node >/dev/null 2>&1 || fail "Zaprud needs Node.js 20.19 or newer with npm. Install it first."
  node -e 'const [a,b]=process.versions.node.split(".").map(Number);process.exit(a>20||(a===20&&b>=19)?0:1)' ||
    fail "Zaprud needs Node.js 20.19 or newer; this is $(node --version)."
}

# Debian packages that are missing: as root they are installed, an ordinary user is told their names.
need_debian() {
  local missing=()
  local pair
  for pair in "$@"; do
    local file=${pair%%:*} package=${pair##*:}
    compgen -G "$file" >/dev/null || missing+=("$package")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  if [ "$(id -u)" -ne 0 ]; then
    fail "These Debian packages are missing: ${missing[*]}
Ask an administrator for:  apt-get install --no-install-recommends ${missing[*]}"
  fi
  command -v apt-get >/dev/null 2>&1 || fail "These packages are missing and there is no apt-get here: ${missing[*]}"
  say "  Installing ${missing[*]} ..."
  # Debian's own cluster is not wanted: Zaprud keeps one of its own
  mkdir -p /etc/postgresql-common
  [ -e /etc/postgresql-common/createcluster.conf ] || echo 'create_main_cluster = false' >/etc/postgresql-common/createcluster.conf
  export DEBIAN_FRONTEND=noninteractive
  local log
  log=$(mktemp)
  apt-get update -qq -o Acquire::http::Timeout=30 -o Acquire::Retries=1 >"$log" 2>&1 || say "  (the package lists could not be renewed; going on with the old ones)"
  apt-get install -y -qq -o Acquire::http::Timeout=30 -o Acquire::Retries=1 --no-install-recommends "${missing[@]}" >"$log" 2>&1 ||
    fail "Installing ${missing[*]} failed: $(tail -n 1 "$log")"
  rm -f "$log"
}

# Node packages, only when the lock file changed since the last install.
need_packages() {
  local stamp=node_modules/.zaprud-lock hash
  hash=$(sha256sum package-lock.json | cut -d' ' -f1)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$hash" ] && return 0
  say "  Installing the Node packages ..."
  local log
  log=$(mktemp)
  npm ci --include=dev --no-audit --no-fund >"$log" 2>&1 || fail "Installing the Node packages failed: $(grep -m1 -E 'npm (error|ERR)' "$log" || tail -n 1 "$log")"
  rm -f "$log"
  printf '%s' "$hash" >"$stamp"
}

# The build, only when a source changed since the last one.
need_build() {
  local stamp=build/.zaprud-sources hash
  hash=$(find src static db/migrations svelte.config.js vite.config.ts package-lock.json tsconfig.json -type f -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
  [ -f "$stamp" ] && [ "$(cat "$stamp")" = "$hash" ] && return 0
  say "  Building the program ..."
  local log
  log=$(mktemp)
  npx --no-install vite build >"$log" 2>&1 || { tail -n 25 "$log" >&2; fail "The build failed."; }
  rm -f "$log"
  printf '%s' "$hash" >"$stamp"
}

pg_bin() {
  local newest
  newest=$(compgen -G '/usr/lib/postgresql/*/bin/initdb' | sort -V | tail -n 1)
  if [ -n "$newest" ]; then dirname "$newest"; return; fi
  command -v initdb >/dev/null 2>&1 && dirname "$(readlink -f "$(command -v initdb)")"
}

# PostgreSQL refuses to run as root: as root its programs run as the user postgres.
as_postgres() {
  if [ "$(id -u)" -eq 0 ]; then (cd / && exec runuser -u postgres -- "$@"); else "$@"; fi
}
