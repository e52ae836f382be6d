import { drawChart, newChart, passageBetween, type ChartRoom } from '../core/charts'
import type { DataTable } from '../core/data'
import { houseTheme } from '../core/layouts'
import type { Step } from '../core/steps'
import { roughMeasurer } from '../core/text'
import { shippedTable } from '../server/maps/shipped'
import { keepTable, run } from '../server/steps/tasks'
import { finish, frame, median, report } from './report'
import { spread } from './rows'

/** Steps on a table of a million rows, beside the same sums in a loop over the values alone; and a map of the world. */
const rows = 1_000_000
const large: DataTable = {
  id: 'large',
  name: 'Large',
  columns: [
    { name: 'stop', type: 'text', values: Array.from({ length: rows }, (_, row) => `Stop ${row % 40}`) },
    { name: 'riders', type: 'number', values: Array.from({ length: rows }, (_, row) => spread(row, 1)) },
  ],
}
await keepTable({ version: 'large', text: JSON.stringify(large) })
const columns = large.columns.map(({ values: _, ...column }) => column)
const quiet = { say: () => {}, stopped: new AbortController().signal }
/** Seconds of some rounds, the middle one. Each asks for a share of its own, so that nothing that was kept answers. */
async function middle(work: (round: number) => Promise<unknown>) {
  const all: number[] = []
  for (let round = 0; round < 5; round++) {
    const began = performance.now()
    await work(round)
    all.push((performance.now() - began) / 1000)
  }
  return all.sort((a, b) => a - b)[2]!
}
const summed = await middle(async round => {
  const keep: Step = { kind: 'keep', column: 'riders', test: 'at-least', values: [String(round)] }
  const group: Step = { kind: 'group', by: ['stop'], measure: 'sum', of: ['riders'] }
  await run({ from: { version: 'large', columns }, others: [], steps: [keep, group], at: 1 }, quiet)
})
report('keeping rows of a million and summing them by stop, with the look at them', summed, 1, 's')

const [stops, riders] = large.columns.map(({ values }) => values) as [string[], number[]]
const loop = median(1, round => {
  const sums = new Map<string, number>()
  for (let row = 0; row < rows; row++) if (riders[row]! >= round) sums.set(stops[row]!, (sums.get(stops[row]!) ?? 0) + riders[row]!)
})
report('the same beside a loop over the values', summed / (loop / 1000), 12, 'times its time')

const world = (await shippedTable('world-110'))!
const names = world.columns.find(({ type }) => type === 'text')!
const room: ChartRoom = {
  width: 1600,
  height: 800,
  textSize: 28,
  fonts: houseTheme.fonts,
  measurer: roughMeasurer,
  language: 'en',
  map: world,
}
const values = (seed: number): DataTable => ({
  id: 't',
  name: 't',
  columns: [
    { name: 'country', type: 'text', values: names.values as string[] },
    { name: 'riders', type: 'number', values: names.values.map((_, at) => spread(at, seed)) },
  ],
})
const spec = { ...newChart('t'), kind: 'map-areas', across: 'country', height: 'riders' }
const [before, after] = [values(1), values(2)]
const drawing = median(2, () => drawChart(spec, { ...before }, room), 5)
report(`drawing a map of ${names.values.length} countries by value`, (100 * drawing) / frame, 1500, '% of a frame')
const close = { ...spec, options: { camera: 'place', on: String(names.values[0]) } }
const passage = passageBetween(drawChart(spec, before, room), drawChart(close, after, room), room.width, room.height)
const step = median(20, index => passage.at(((index % 97) + 1) / 100), 7)
report('a frame of the camera’s way to one of them', (100 * step) / frame, 60, '% of a frame')
finish()
process.exit()
