import { drawChart, newChart, passageBetween, passageOf, type ChartRoom } from '../core/charts'
import type { DataTable } from '../core/data'
import { houseTheme } from '../core/layouts'
import type { ChartSpec } from '../core/model'
import { roughMeasurer } from '../core/text'
import { finish, frame, median, report } from './report'
import { boats, spread } from './rows'

/** Charts of 50, 1,000 and 50,000 marks: what drawing one takes, and a frame of its way to other rows. */
const room: ChartRoom = { width: 1600, height: 800, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const spec: ChartSpec = { ...newChart('t'), across: 'boat', height: 'riders', along: 'knots' }
const budgets = [
  [50, 'bar', 120, 12],
  [1000, 'bar', 500, 30],
  [50_000, 'scatter', 5000, 1200],
] as const
for (const [count, kind, drawBudget, wayBudget] of budgets) {
  const [before, after] = [boats(count, 1), boats(count, 2)]
  const own = { ...spec, kind }
  const rounds = count > 10_000 ? 3 : 7
  // A table of its own each time, so that nothing that was kept answers.
  const drawing = median(count > 10_000 ? 1 : 4, () => drawChart(own, { ...before }, room), rounds)
  report(`drawing ${count.toLocaleString('en')} marks with their words`, (100 * drawing) / frame, drawBudget, '% of a frame')
  const passage = passageBetween(drawChart(own, before, room), drawChart(own, after, room), room.width, room.height)
  const step = median(count > 10_000 ? 3 : 50, index => passage.at(((index % 97) + 1) / 100), rounds)
  report(`a frame of their way to other rows`, (100 * step) / frame, wayBudget, '% of a frame')
}

const seasons = Array.from({ length: 10 }, (_, at) => 2022 + at)
const race = (routes: number): DataTable => {
  const rows = seasons.flatMap(season => Array.from({ length: routes }, (_, route) => ({ season, route })))
  return {
    id: 't',
    name: 't',
    columns: [
      { name: 'season', type: 'number', values: rows.map(({ season }) => season) },
      { name: 'route', type: 'text', values: rows.map(({ route }) => `Route ${route}`) },
      { name: 'riders', type: 'number', values: rows.map(({ season, route }) => spread(route * 31 + season, route % 7)) },
    ],
  }
}
for (const [routes, budget] of [
  [12, 40],
  [200, 300],
] as const) {
  const run = { ...newChart('t'), kind: 'lying-bar', across: 'route', height: 'riders', order: 'falling' as const, largest: 12 }
  const [first, last] = (['first', 'last'] as const).map(at => ({ ...run, moment: { column: 'season', at } }))
  const passage = passageOf(first!, last!, race(routes), room)
  passage.at(0.5)
  const step = median(20, index => passage.at(((index % 97) + 1) / 100), 7)
  report(`a frame of a race of ${routes} routes through ten seasons, twelve in sight`, (100 * step) / frame, budget, '% of a frame')
}
finish()
