#!/usr/bin/env bash
# npm test: types, lint, unit tests, then the real interface against a built and started server.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
say "Types"
npx nuxt prepare >/dev/null 2>&1
npx tsc -p core
npx vue-tsc --build --noEmit
say "Lint"
npx eslint .
say "Unit tests"
npx vitest run
say "End-to-end tests"
bash scripts/end-to-end.sh
