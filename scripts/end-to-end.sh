#!/usr/bin/env bash
# End-to-end tests against a database and a server of their own.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
export HAILBANK_HOME="${HAILBANK_HOME:-.hailbank/test}"
HAILBANK_TEST_PORT="${HAILBANK_TEST_PORT:-$(node -e "import('./scripts/postgres.mjs').then(async module => console.log(await module.freePort(4690)))")}"
export HAILBANK_TEST_PORT
exec npx playwright test "$@"
