#!/usr/bin/env bash
# npm test: types, lint, unit tests, then the real interface against a built and started server. The build runs beside the first three.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
npx nuxt prepare >/dev/null 2>&1
node scripts/build.mjs &
building=$!
trap 'kill $building 2>/dev/null || true' EXIT
say "Types"
bash scripts/types.sh
say "Format and lint"
npx prettier --check --log-level warn .
npx eslint .
say "Unit tests"
npx vitest run
wait $building
trap - EXIT
say "End-to-end tests"
bash scripts/end-to-end.sh
