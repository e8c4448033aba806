#!/usr/bin/env bash
# Installs what this checkout needs and the machine lacks: Debian packages, gems by the lock file, and for the tests
# the browser. Quick when nothing is missing. Usage: support/setup.sh start|test
set -euo pipefail
purpose=${1:?start or test}
root=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
cd "$root"

say() { printf '%s\n' "$*" >&2; }
fail() { say "$*"; exit 1; }

packages=(ruby ruby-dev bundler build-essential pkg-config libpq-dev libyaml-dev libffi-dev libvips42 postgresql)
[ "$purpose" = test ] &&
  packages+=(libxml2-dev libxslt1-dev zlib1g-dev chromium-headless-shell chromium-driver fonts-liberation)

installed() { [ "$(dpkg-query -W -f='${db:Status-Status}' "$1" 2>/dev/null)" = installed ]; }

# A tool that came another way than by its Debian package is as good: Ruby and Bundler often do.
present() {
  case "$1" in
    ruby) command -v ruby >/dev/null && ruby -e 'exit RUBY_VERSION >= "3.1"' ;;
    ruby-dev)
      command -v ruby >/dev/null &&
        ruby -rrbconfig -e 'exit File.exist?(File.join(RbConfig::CONFIG["rubyhdrdir"], "ruby.h"))' ;;
    bundler) command -v bundle >/dev/null ;;
    postgresql) compgen -G '/usr/lib/postgresql/*/bin/initdb' >/dev/null ;;
    *) installed "$1" ;;
  esac
}

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else return 127
  fi
}

missing=()
for package in "${packages[@]}"; do present "$package" || missing+=("$package"); done

# Memory is held more level with it (support/memory.sh). The house works without it, so it comes along with what is
# installed anyway, and nobody is stopped who hasn't got it.
[ ${#missing[@]} -eq 0 ] || installed libjemalloc2 || missing+=(libjemalloc2)

if [ ${#missing[@]} -gt 0 ]; then
  by_hand="Install it by hand, then start again: apt-get install ${missing[*]}"
  command -v apt-get >/dev/null || fail "Missing: ${missing[*]}, and there is no apt-get here. $by_hand"
  [ "$(id -u)" = 0 ] || command -v sudo >/dev/null ||
    fail "Missing: ${missing[*]}, and installing needs root or sudo. $by_hand"
  say "Installing ${missing[*]} (once, a minute or two) …"
  # Debian would make and start a server of its own; this application brings one up under var/ instead.
  if [[ " ${missing[*]} " == *" postgresql "* ]] && ! installed postgresql-common; then
    as_root mkdir -p /etc/postgresql-common/createcluster.d
    echo "create_main_cluster = false" | as_root tee /etc/postgresql-common/createcluster.d/earnest-fold.conf >/dev/null
  fi
  mkdir -p var 2>/dev/null ||
    fail "The folder $root can't be written to by $(id -un): clone it as this user, or give the folder to them."
  log="$root/var/setup.log"
  { as_root apt-get update -q &&
    as_root env DEBIAN_FRONTEND=noninteractive \
      apt-get install -y -q --no-install-recommends "${missing[@]}"; } \
    >"$log" 2>&1 </dev/null || fail "The packages could not be installed (the end of var/setup.log says why). $by_hand"
fi

[ "$purpose" = start ] && export BUNDLE_WITHOUT=test
export BUNDLE_FROZEN=true BUNDLE_SILENCE_ROOT_WARNING=true
if ! bundle check >/dev/null 2>&1; then
  say "Installing gems into vendor/bundle (once, two or three minutes) …"
  bundle install --quiet --jobs 4 >&2 ||
    fail "The gems could not be installed: the lines above say why. Mend that, then start again."
fi

# The tests build the styles again, to see that what is committed is current.
if [ "$purpose" = test ] && command -v npm >/dev/null && [ ! -x node_modules/.bin/tailwindcss ]; then
  npm ci --no-audit --no-fund --ignore-scripts --silent >&2 ||
    say "The styles' builder could not be installed; that one test is skipped."
fi
ruby support/assets.rb >&2
