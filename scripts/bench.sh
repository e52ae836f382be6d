#!/usr/bin/env bash
# npm run bench: the budgets, as ratios and shares of a frame.
export HAILBANK_NEEDS_BROWSER=1
source "$(dirname "$0")/prepare.sh"
status=0
node --import jiti/register bench/core.ts || status=1
node --import jiti/register bench/charts.ts || status=1
node --import jiti/register bench/motion.ts || status=1
node --import jiti/register bench/data.ts || status=1
node --import jiti/register bench/film.ts || status=1
node --import jiti/register bench/browser.ts || status=1
exit $status
