#!/usr/bin/env bash
# End-to-end tests, beside each other: each core has a server and a database of its own.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
export HAILBANK_HOME="${HAILBANK_HOME:-.hailbank/test}"
HAILBANK_TEST_PORTS="${HAILBANK_TEST_PORTS:-$(node scripts/testing/ports.mjs)}"
export HAILBANK_TEST_PORTS
exec npx playwright test "$@"
