import type { ChartSpec } from '../model'
import { memoByRecords } from '../values'
import { keyWords } from './moments'
import { gathered, keyOf, momentsOf, type Entry, type Gathered } from './summarise'
import { columnNamed, firstAmount, firstCategory, rowCount, type Column, type DataTable } from './table'

/** What a table is run through for: the column of moments, and what a chart draws of the rows of each. */
export type RunWish = Pick<ChartSpec, 'across' | 'height' | 'series' | 'beside' | 'along' | 'size' | 'aggregate'> & { through: string }

/** A table whose rows stand at several moments, as it is at each of them and between any two. */
export interface Run {
  /** In the order of time; where the column holds no moments, as they stand in the table. */
  moments: readonly Entry[]
  /** The rows of each moment, gathered. */
  knots: readonly Gathered[]
  /** What each amount lies between all the way through, by the name of its column; of none that holds no number. */
  extents: ReadonlyMap<string, readonly [number, number]>
  /** What columns the table between moments has: as the wish names them, or the first that suit. */
  chosen: { across: string; height: string; series: string | null; beside: readonly string[]; along: string | null; size: string | null }
  /**
   * The table at a time: 0 is the first moment, 1.5 halfway between the second and the third. It has one row for each category and series,
   * with its amounts on their way in a straight line; what is only at one of two moments grows from nothing, or shrinks to it, where
   * amounts are added up. Categories stand in an order of keys; those that it does not name are left out.
   */
  at(time: number, order: readonly string[]): DataTable
}

/** What is counted is an amount of this name between two moments. */
const counted = 'rows'

/** Rows of a table by the number of the moment that they stand at. */
function rowsByMoment(table: DataTable, column: Column, language: string) {
  const entries: Entry[] = []
  const indices: number[][] = []
  const known = new Map<string, number>()
  const count = rowCount(table)
  for (let row = 0; row < count; row++) {
    const value = column.values[row] ?? null
    // A row that says no moment stands at none.
    if (value === null) continue
    const key = keyOf(value)
    let at = known.get(key)
    if (at === undefined) {
      known.set(key, (at = entries.length))
      entries.push({ key, label: keyWords(column, value, language) })
      indices.push([])
    }
    indices[at]!.push(row)
  }
  return { entries, indices }
}

const rowsOnly = (table: DataTable, rows: readonly number[]): DataTable => ({
  ...table,
  columns: table.columns.map(column => ({ ...column, values: rows.map(row => column.values[row] ?? null) })),
})

/** The value that a key stands for in a column; what is not given has none. */
const valueOf = (column: Column, key: string) => (key === keyOf(null) ? null : column.type === 'number' ? Number(key) : key)

/** Amounts by category and series: `amounts[series][category]` by their keys. */
type Amounts = ReadonlyMap<string, ReadonlyMap<string, number | null>>
const amountsOf = ({ categories, series, values }: Gathered): Amounts =>
  new Map(series.map((one, index) => [one.key, new Map(categories.map((category, at) => [category.key, values[index]![at]!]))]))

function between(a: number | null | undefined, b: number | null | undefined, share: number, adds: boolean): number | null {
  if (typeof a === 'number' && typeof b === 'number') return a + (b - a) * share
  const only = a ?? b
  if (typeof only !== 'number') return null
  // At a moment itself what is missing there stays missing.
  if (share === 0) return a ?? null
  return adds ? only * (typeof a === 'number' ? 1 - share : share) : only
}

/** An amount that is run through: its column (none where rows are counted), how it is made, and whether it is added up. */
interface RunAmount {
  name: string
  column: Column | null
  aggregate: ChartSpec['aggregate']
  adds: boolean
}

/** What a run draws: columns, and amounts the first of which is the chart's own. */
function drawnOf(table: DataTable, wish: RunWish) {
  const across = columnNamed(table, wish.across) ?? firstCategory(table)
  const amount = columnNamed(table, wish.height) ?? firstAmount(table)
  const counts = wish.aggregate === 'count' || !amount
  const series = columnNamed(table, wish.series ?? null) ?? null
  const isBeside = (name: string) => columnNamed(table, name)?.type === 'number' && name !== amount?.name
  const beside = series || counts ? [] : (wish.beside ?? []).filter(isBeside)
  const [along, size] = [wish.along, wish.size].map(name => columnNamed(table, name ?? null) ?? null)
  const aggregate = counts ? ('count' as const) : wish.aggregate
  const amounts: RunAmount[] = [
    { name: counts ? counted : amount.name, column: counts ? null : amount, aggregate, adds: counts || aggregate === 'sum' },
    ...beside.map(name => ({ name, column: columnNamed(table, name)!, aggregate, adds: aggregate === 'sum' })),
    ...[along, size].flatMap(column =>
      column && column !== amount ? [{ name: column.name, column, aggregate: 'mean' as const, adds: false }] : [],
    ),
  ]
  return { across, amount, series, beside, along, size, aggregate, amounts }
}

/** The table at a time, from the amounts of each moment; see `Run.at`. */
function tableAt(
  table: DataTable,
  drawn: ReturnType<typeof drawnOf>,
  moments: readonly (readonly Amounts[])[],
  time: number,
  keys: readonly string[],
) {
  const { across, series, amounts } = drawn
  const last = moments.length - 1
  const from = Math.min(last, Math.max(0, Math.floor(time)))
  const share = from === last ? 0 : Math.min(1, Math.max(0, time - from))
  const [before, after] = [moments[from]!, moments[Math.min(last, from + 1)]!]
  const seriesKeys = series ? [...new Set(moments.flatMap(([first]) => [...first!.keys()]))] : [null]
  const valueAt = (index: number, one: string | null, key: string) => {
    const list = (of: readonly Amounts[]) => (one === null ? [...of[index]!.values()][0] : of[index]!.get(one))?.get(key)
    return between(list(before), list(after), share, amounts[index]!.adds)
  }
  const rows = keys.flatMap(key =>
    seriesKeys.flatMap(one => {
      const numbers = amounts.map((_, index) => valueAt(index, one, key))
      return numbers.every(value => value === null) ? [] : [{ key, one, numbers }]
    }),
  )
  return {
    ...table,
    columns: [
      { ...across, values: rows.map(({ key }) => valueOf(across, key)) },
      ...(series ? [{ ...series, values: rows.map(({ one }) => valueOf(series, one!)) }] : []),
      ...amounts.map(({ name, column }, index) => ({
        ...(column ?? { type: 'number' as const }),
        name,
        values: rows.map(({ numbers }) => numbers[index]!),
      })),
    ],
  }
}

/** What amounts lie between at all moments, by the names of their columns. */
function extentsOf(drawn: readonly RunAmount[], moments: readonly (readonly Amounts[])[]): Map<string, readonly [number, number]> {
  const made = new Map<string, readonly [number, number]>()
  drawn.forEach(({ name }, index) => {
    let [low, high] = [Infinity, -Infinity]
    for (const amounts of moments)
      for (const list of amounts[index]!.values())
        for (const value of list.values()) if (value !== null) [low, high] = [Math.min(low, value), Math.max(high, value)]
    if (low <= high) made.set(name, [low, high])
  })
  return made
}

function made(table: DataTable, words: string, language: string): Run | null {
  const wish = JSON.parse(words) as RunWish
  const through = columnNamed(table, wish.through)
  if (!through) return null
  const { entries, indices } = rowsByMoment(table, through, language)
  if (!entries.length) return null
  const places = momentsOf(through, entries)
  const order = entries.map((_, at) => at)
  if (places) order.sort((a, b) => places[a]! - places[b]! || a - b)
  const others = table.columns.filter(column => column !== through)
  const own = others.length ? { ...table, columns: others } : table
  const drawn = drawnOf(own, wish)
  const { across, amount, series, beside, along, size, aggregate } = drawn
  const tables = order.map(at => rowsOnly(own, indices[at]!))
  const common = { by: across.name, order: 'data' as const, series: series?.name ?? null }
  const amounts = tables.map(of =>
    drawn.amounts.map(one => {
      const wished = { ...common, value: one.column?.name ?? null, aggregate: one.aggregate, beside: [] }
      return amountsOf(gathered(of, wished, language))
    }),
  )
  return {
    moments: order.map(at => entries[at]!),
    knots: tables.map(of => gathered(of, { ...common, value: amount?.name ?? null, aggregate, beside }, language)),
    extents: extentsOf(drawn.amounts, amounts),
    chosen: {
      across: across.name,
      height: drawn.amounts[0]!.name,
      series: common.series,
      beside,
      along: along?.name ?? null,
      size: size?.name ?? null,
    },
    at: (time, keys) => tableAt(table, drawn, amounts, time, keys),
  }
}

const remembered = memoByRecords((table: DataTable, words: string, language: string) => [table, `${language} ${words}`], made, { keep: 4 })

/** A table run through along one of its columns; null where it has no such column, or no row says a moment. Labels are in a language. */
export const runThrough = (table: DataTable, wish: RunWish, language = 'en'): Run | null =>
  remembered(
    table,
    // Only what the run is made from, so that charts that differ in all else share it.
    JSON.stringify({
      through: wish.through,
      across: wish.across,
      height: wish.height,
      series: wish.series,
      beside: wish.beside,
      along: wish.along,
      size: wish.size,
      aggregate: wish.aggregate,
    }),
    language,
  )
