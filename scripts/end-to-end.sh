#!/usr/bin/env bash
# End-to-end tests against a database and a server of their own.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
export HAILBANK_HOME="${HAILBANK_HOME:-.hailbank/test}"
exec npx playwright test "$@"
