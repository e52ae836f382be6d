#!/usr/bin/env bash
# What start and test both need before anything of ours can run: Debian's programs and the npm packages. Sourced.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
say() { printf '%s\n' "$*"; }

if ! command -v node >/dev/null; then
  say "Node 20.19 or later is needed. Install it, then run this again."
  exit 1
fi

postgres_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1; }

missing=()
if [ -z "${DATABASE_URL:-}" ] && { [ -z "$(postgres_bin)" ] || [ ! -x "$(postgres_bin)/initdb" ]; }; then missing+=(postgresql); fi
[ -n "${HAILBANK_NEEDS_BROWSER:-}" ] && ! command -v chromium >/dev/null && missing+=(chromium)
command -v ffmpeg >/dev/null || missing+=(ffmpeg)
# Walls around whatever reads films that people bring; where they cannot be had, that is logged.
if [ "$(id -u)" = 0 ] && [ ! -x /usr/bin/bwrap ]; then missing+=(bubblewrap); fi
# Draws films frame by frame; where it cannot be installed, Chromium does, more slowly.
if [ "$(id -u)" = 0 ] && [ ! -x /usr/lib/chromium/chromium-headless-shell ]; then missing+=(chromium-headless-shell); fi
if [ -z "${HAILBANK_NEEDS_BROWSER:-}" ] && ! command -v chromium >/dev/null && [ "$(id -u)" = 0 ]; then missing+=(chromium); fi

if [ ${#missing[@]} -gt 0 ]; then
  if [ "$(id -u)" != 0 ]; then
    say "These Debian packages are missing: ${missing[*]}. Ask for: sudo apt-get install ${missing[*]}"
    exit 1
  fi
  say "Installing from Debian: ${missing[*]} (a few minutes, once)"
  export DEBIAN_FRONTEND=noninteractive
  lock="-o DPkg::Lock::Timeout=300"
  # Debian would start a cluster of its own with the package; ours is the only one that is wanted.
  if [ ! -e /etc/postgresql-common/createcluster.conf ]; then
    mkdir -p /etc/postgresql-common && printf 'create_main_cluster = false\n' >/etc/postgresql-common/createcluster.conf
  fi
  { apt-get $lock update && apt-get $lock install -y --no-install-recommends "${missing[@]}"; } >/tmp/hailbank-apt.log 2>&1 || {
    say "Debian's packages could not be installed. The last lines of /tmp/hailbank-apt.log:"
    tail -n 5 /tmp/hailbank-apt.log
    exit 1
  }
fi

stamp=node_modules/.hailbank-lock
if [ ! -e "$stamp" ] || ! cmp -s package-lock.json "$stamp"; then
  say "Installing npm packages from the lock file (about a minute, once)"
  npm ci --no-progress --loglevel=error >/tmp/hailbank-npm.log 2>&1 || {
    say "The npm packages could not be installed. The last lines of /tmp/hailbank-npm.log:"
    tail -n 8 /tmp/hailbank-npm.log
    exit 1
  }
  cp package-lock.json "$stamp"
fi
