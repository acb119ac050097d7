# Installs what is missing and says what it does. Sourced by ./start and ./test; never asks a question.
# Needs: Debian 12, Node 20, root or a user with sudo.

say() { printf '%s\n' "$*"; }

as_root() {
  if [ "$(id -u)" -eq 0 ]; then "$@"; else sudo "$@"; fi
}

# install_packages COMMAND:PACKAGE ... installs the Debian packages whose command is not there yet.
install_packages() {
  local missing=() pair
  for pair in "$@"; do
    PATH="$PATH:/usr/sbin:/sbin" command -v "${pair%%:*}" >/dev/null 2>&1 || missing+=("${pair##*:}")
  done
  [ "${#missing[@]}" -eq 0 ] && return 0
  say "Installing ${missing[*]} from Debian's packages"
  # a policy of 101 keeps the packages from starting services of their own while they are installed
  local policy=/usr/sbin/policy-rc.d made_policy=no
  if [ ! -e "$policy" ]; then
    printf '#!/bin/sh\nexit 101\n' | as_root tee "$policy" >/dev/null
    as_root chmod +x "$policy"
    made_policy=yes
  fi
  local status=0
  as_root env DEBIAN_FRONTEND=noninteractive apt-get update -qq || status=$?
  [ "$status" -eq 0 ] && { as_root env DEBIAN_FRONTEND=noninteractive \
    apt-get install -y -qq --no-install-recommends "${missing[@]}" >/dev/null || status=$?; }
  [ "$made_policy" = yes ] && as_root rm -f "$policy"
  return "$status"
}

# install_browser installs Debian's Chromium without windows, and the whole one where that cannot be had.
install_browser() {
  install_packages chromium-headless-shell:chromium-headless-shell || install_packages chromium:chromium
}

# install_modules runs npm ci once for each state of the lock file.
install_modules() {
  local want stamp=node_modules/.installed-for
  want=$(cat package-lock.json package.json ./*/package.json | sha256sum | cut -d' ' -f1)
  [ "$(cat "$stamp" 2>/dev/null)" = "$want" ] && return 0
  say "Installing npm modules"
  npm ci --no-audit --no-fund --loglevel=error
  printf '%s' "$want" >"$stamp"
}

# build PART NAME SOURCE ... builds web or server once for each state of its sources.
build() {
  local part=$1 name=$2 want stamp=$1/dist/.built-from
  shift 2
  want=$(find "$@" package-lock.json -type f -not -path '*/node_modules/*' -not -path '*/dist/*' \
    -not -name '*.test.ts' -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
  [ "$(cat "$stamp" 2>/dev/null)" = "$want" ] && return 0
  say "Building $name"
  npm run -s "build:$part" -- --logLevel warn
  printf '%s' "$want" >"$stamp"
}

check_node() {
  command -v node >/dev/null 2>&1 || { say "Node 20 is needed and was not found." >&2; exit 1; }
  node -e 'process.exit(Number(process.versions.node.split(".")[0]) >= 20 ? 0 : 1)' ||
    { say "Node 20 is needed; this is $(node --version)." >&2; exit 1; }
}

# prepare [browser] PAIR ... does all of it; a second start or test beside it waits its turn instead of tearing at the same folder.
prepare() {
  check_node
  mkdir -p .data
  exec 8>.data/prepare.lock
  flock 8
  local browser=no
  [ "${1:-}" != browser ] || { browser=yes; shift; }
  [ "$#" -eq 0 ] || install_packages "$@"
  [ "$browser" = no ] || install_browser
  install_modules
  build web "the web application" web core shelf knowledge
  build server "the server" server core shelf knowledge demo stand-ins
  exec 8>&-
}
