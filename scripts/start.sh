#!/usr/bin/env bash
# npm start: from nothing to a running Hailbank with its demo.
source "$(dirname "$0")/prepare.sh"
exec node scripts/start.mjs "$@"
