#!/usr/bin/env bash
# npm run attack: what users, networks and power cuts do at their worst, against a server and a database of its own. About 20 minutes;
# `npm run attack -- floods` runs the parts whose names begin so, HAILBANK_ATTACK=0.1 a tenth of each.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
export HAILBANK_HOME=.hailbank/attack
HAILBANK_TEST_PORTS="$(node -e "import('./scripts/postgres.mjs').then(async module => console.log(await module.freePort(4890)))")"
export HAILBANK_TEST_PORTS
exec node --import jiti/register attack/index.ts "$@"
