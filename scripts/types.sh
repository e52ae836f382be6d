#!/usr/bin/env bash
# The types of all code: the core by itself, so that it leans on nothing, the application, then tests, benches, scripts and the demo.
set -euo pipefail
cd "$(dirname "$0")/.."
npx tsc -p core
npx vue-tsc --build --noEmit
npx vue-tsc -p tsconfig.tests.json --noEmit
