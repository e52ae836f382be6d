import { columnNamed, gatheredFor, keyOf, runThrough, type DataTable, type Gathered, type Run } from '../../data'
import type { ChartSpec } from '../../model'
import { chosenColumns } from '../columns'
import { foundIn, highlightedIn } from '../found'
import type { RunMoment } from '../run-moment'
import { placesOf, type Places } from './places'

/** What a chart draws: its rows, after what it leaves out, and how it names them. */
export interface ShownRows {
  spec: ChartSpec
  table: DataTable
  /** Where the rows are those of a moment. */
  run: RunMoment | null
}

/** The rows of a table whose category is one of some. */
function rowsOnly(table: DataTable, column: string, keys: ReadonlySet<string>): DataTable {
  const values = columnNamed(table, column)?.values ?? []
  const rows = [...values.keys()].filter(row => keys.has(keyOf(values[row])))
  return { ...table, columns: table.columns.map(one => ({ ...one, values: rows.map(row => one.values[row] ?? null) })) }
}

/** The categories that are drawn alone; null where all are. */
function onlyOf({ only }: ChartSpec, data: Gathered, through: readonly Gathered[] | null): ReadonlySet<string> | null {
  if (!only) return null
  const found = only.found.map(one => foundIn(one, data, through))
  return new Set([...only.keys, ...found.filter(key => key !== null)])
}

/** Columns by name without the one that a chart runs along. */
const besides = (table: DataTable, column: string): DataTable => {
  const columns = table.columns.filter(({ name }) => name !== column)
  return columns.length ? { ...table, columns } : table
}

/** A chart's table, run through along the column of its moment; null where it shows no moment, or the column is gone. */
export function runOf(spec: ChartSpec, table: DataTable, language: string): Run | null {
  if (!spec.moment) return null
  const chosen = chosenColumns(spec, besides(table, spec.moment.column))
  const wish = {
    through: spec.moment.column,
    across: chosen.across.name,
    height: chosen.height?.name ?? null,
    series: chosen.series?.name ?? null,
    beside: chosen.beside.map(({ name }) => name),
    along: chosen.along?.name ?? null,
    size: chosen.size?.name ?? null,
    aggregate: spec.aggregate,
  }
  return runThrough(table, wish, language)
}

/** The moment that a chart shows, as its number; the last where one that it names is gone. */
export function timeOf({ moment }: ChartSpec, { moments }: Run): number {
  if (!moment || moment.at === 'last') return moments.length - 1
  if (moment.at === 'first') return 0
  const at = moments.findIndex(({ key }) => key === moment.key)
  return at < 0 ? moments.length - 1 : at
}

/** How many categories have an amount at a moment, at most. */
const mostPresent = ({ knots }: Run, only: ReadonlySet<string> | null) =>
  knots.reduce((most, { categories, values }) => {
    const count = categories.filter(({ key }, at) => (!only || only.has(key)) && values.some(list => list[at] !== null)).length
    return Math.max(most, count)
  }, 0)

/** The same with all series as one. */
const together = (data: Gathered): Gathered => {
  if (data.series.length < 2) return data
  const sums = data.categories.map((_, at) => {
    const own = data.values.map(list => list[at]!).filter(value => value !== null)
    return own.length ? own.reduce((sum, value) => sum + value, 0) : null
  })
  return { ...data, series: data.series.slice(0, 1), values: [sums] }
}

/** Places among those that are drawn alone: how many of them stand before. */
function placesAmong(places: Places, only: ReadonlySet<string> | null, time: number, keys: readonly string[]) {
  if (!only) return (key: string) => places.place(key, time)
  const drawn = keys.filter(key => only.has(key)).map(key => ({ key, place: places.place(key, time) }))
  const whole = new Map(drawn.map(({ key, place }) => [key, place]))
  // Others that are passed count for nothing; one of them that passes counts as it does.
  return (key: string) => {
    const own = whole.get(key) ?? 0
    return drawn.reduce((sum, other) => sum + (other.key === key ? 0 : Math.min(1, Math.max(0, own - other.place + 0.5))), 0)
  }
}

/** The rows of a chart as it runs through time; between two moments on their way. */
function atTime(spec: ChartSpec, run: Run, time: number): ShownRows {
  const own = timeOf(spec, run)
  // A run is about categories: what is found among them is found by what their series come to together.
  const only = onlyOf(spec, together(run.knots[own]!), run.knots.map(together))
  const places = placesOf(run, spec.order)
  const rows = Math.max(1, Math.min(spec.largest ?? Infinity, mostPresent(run, only)))
  const keys = places.order(time)
  const known = new Set(keys)
  const place = placesAmong(places, only, time, keys)
  const drawn = keys.filter(key => (!only || only.has(key)) && place(key) < rows)
  const { moment: _moment, only: _only, largest: _largest, rule: _rule, ...rest } = spec
  return {
    spec: {
      ...rest,
      ...run.chosen,
      beside: [...run.chosen.beside],
      aggregate: spec.aggregate === 'count' ? 'sum' : spec.aggregate,
      order: 'data',
      highlighted: highlightedIn(spec, run.knots[own]!, run.knots),
    },
    table: run.at(time, drawn),
    run: {
      time,
      moments: run.moments,
      knots: run.knots,
      extents: run.extents,
      rows,
      place: key => (known.has(key) ? place(key) : null),
      seen: key => Math.min(1, Math.max(0, rows - place(key))) * places.there(key, time),
    },
  }
}

/** What a chart draws of its table; `time` is a moment's number where it is shown on its way through time, else the chart's own moment. */
export function shownRows(spec: ChartSpec, table: DataTable, language: string, time?: number): ShownRows {
  const run = runOf(spec, table, language)
  if (run) return atTime(spec, run, time ?? timeOf(spec, run))
  if (!spec.only) return { spec, table, run: null }
  const { only: _only, ...rest } = spec
  const { largest: _largest, ...all } = rest
  const whole = gatheredFor(all, table, language)
  // Where a column parts the series, it is they that are drawn alone.
  const parted = whole.series.length > 1 && whole.seriesName !== null
  const only = onlyOf(spec, parted ? whole : together(whole), null)!
  const highlighted = highlightedIn(spec, whole)
  const { rule: _rule, ...bare } = rest
  const column = parted ? whole.seriesName! : whole.category.name
  return { spec: { ...bare, highlighted }, table: rowsOnly(table, column, only), run: null }
}
