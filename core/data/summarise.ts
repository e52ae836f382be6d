import type { ChartSpec } from '../model'
import { memoByRecords } from '../values'
import { keyWords, momentPlace } from './moments'
import { columnNamed, firstAmount, firstCategory, rowCount, type Column, type DataTable } from './table'

/** A category or a series: its key as it is kept, and the same as a reader sees it. */
export interface Entry {
  key: string
  label: string
}

/** One group of rows: its key as it is kept, the same as a reader sees it, and the number made of it (null where no row holds one). */
export interface Row extends Entry {
  value: number | null
}

/** What is made of a table: how its rows are gathered, parted and put in order. */
export interface Gathering {
  by: string | null
  value: string | null
  aggregate: ChartSpec['aggregate']
  order: ChartSpec['order']
  /** The column whose values are the series. */
  series?: string | null
  /** More columns of amounts, each a series. */
  beside?: readonly string[]
}

/** A table's rows gathered by one column, and by another into series. */
export interface Gathered {
  categories: readonly Entry[]
  /** At least one; where nothing parts the rows, the only one is named after the amount. */
  series: readonly Entry[]
  /** The number of each series in each category, `values[series][category]`; null where no row holds one. */
  values: readonly (readonly (number | null)[])[]
  category: Column
  /** What is counted is no column. */
  amount: Column | null
  /** What parts the series; null where nothing does. */
  seriesName: string | null
  /** Where the categories stand in time, days; null where they are none, or in another order. */
  moments: readonly number[] | null
}

interface Pile {
  count: number
  sum: number
  least: number
  most: number
}

const made: Readonly<Record<ChartSpec['aggregate'], (pile: Pile) => number | null>> = {
  sum: pile => (pile.count ? pile.sum : null),
  mean: pile => (pile.count ? pile.sum / pile.count : null),
  least: pile => (pile.count ? pile.least : null),
  most: pile => (pile.count ? pile.most : null),
  count: pile => pile.count,
}

/** The values of a column in the order of the rows, each as the number of one of the entries that it has. */
function entriesOf(column: Column, language: string): { entries: Entry[]; of: (row: number) => number } {
  const entries: Entry[] = []
  const known = new Map<string | number | null, number>()
  const byKey = new Map<string, number>()
  return {
    entries,
    of(row) {
      const value = column.values[row] ?? null
      const at = known.get(value)
      if (at !== undefined) return at
      const key =
        String(value ?? '')
          .replace(/\s+/g, ' ')
          .trim() || 'not given'
      let index = byKey.get(key)
      if (index === undefined) {
        byKey.set(key, (index = entries.length))
        entries.push({ key, label: keyWords(column, key, language) })
      }
      known.set(value, index)
      return index
    },
  }
}

/** Puts categories in the order asked for; `all` is what each comes to over all series. */
function ordered(
  order: ChartSpec['order'],
  entries: readonly Entry[],
  all: readonly (number | null)[],
  moments: readonly number[] | null,
): number[] {
  const indices = entries.map((_, index) => index)
  const amount = (index: number) => all[index] ?? Number.NEGATIVE_INFINITY
  if (order === 'rising') return indices.sort((a, b) => amount(a) - amount(b) || a - b)
  if (order === 'falling') return indices.sort((a, b) => amount(b) - amount(a) || a - b)
  if (order === 'name') return indices.sort((a, b) => entries[a]!.key.localeCompare(entries[b]!.key))
  return moments ? indices.sort((a, b) => moments[a]! - moments[b]! || a - b) : indices
}

/**
 * Gathers a table's rows by a column, parted into series, and makes one number of each group; labels are in a language (BCP 47). The same
 * object for the same table and the same wishes, as long as some others are asked for only.
 */
export const gathered = (table: DataTable, input: Gathering, language = 'en'): Gathered =>
  remembered(table, JSON.stringify(input), language)

const remembered = memoByRecords(
  (table: DataTable, input: string, language: string) => [table, `${language} ${input}`],
  (table, input, language) => gather(table, JSON.parse(input) as Gathering, language),
  { keep: 8 },
)

function gather(table: DataTable, input: Gathering, language: string): Gathered {
  const category = columnNamed(table, input.by) ?? firstCategory(table)
  const first = columnNamed(table, input.value) ?? firstAmount(table)
  const counting = input.aggregate === 'count' || !first
  const parting = columnNamed(table, input.series ?? null)
  const beside =
    counting || parting ? [] : (input.beside ?? []).map(name => columnNamed(table, name)).filter(column => column?.type === 'number')
  const amounts = counting ? [null] : [first, ...beside.filter(column => column !== first)]
  const across = entriesOf(category, language)
  const apart = parting && entriesOf(parting, language)
  const piles: Pile[][] = []
  const count = rowCount(table)
  for (let row = 0; row < count; row++) {
    const at = across.of(row)
    amounts.forEach((column, index) => {
      const value = column ? column.values[row] : 1
      const pile = ((piles[apart ? apart.of(row) : index] ??= [])[at] ??= { count: 0, sum: 0, least: Infinity, most: -Infinity })
      if (typeof value !== 'number') return
      pile.count++
      pile.sum += value
      if (value < pile.least) pile.least = value
      if (value > pile.most) pile.most = value
    })
  }
  const series = apart?.entries.length
    ? apart.entries
    : amounts.map(column => ({ key: column?.name ?? category.name, label: column?.name ?? category.name }))
  const number = made[counting ? 'count' : input.aggregate]
  const values = series.map((_, index) => across.entries.map((__, at) => (piles[index]?.[at] ? number(piles[index][at]) : null)))
  const all = across.entries.map((_, at) =>
    values.reduce<number | null>((sum, list) => (list[at] === null ? sum : (sum ?? 0) + list[at]!), null),
  )
  const places = category.type === 'date' ? across.entries.map(({ key }) => momentPlace(key, category.grain ?? 'day')) : null
  // What is put in another order than that of time does not stand in time.
  const moments = input.order === 'data' && places?.every(place => place !== null) ? places : null
  const order = ordered(input.order, across.entries, all, moments)
  return {
    categories: order.map(index => across.entries[index]!),
    series,
    values: values.map(list => order.map(index => list[index]!)),
    category,
    amount: counting ? null : first,
    seriesName: parting?.name ?? null,
    moments: moments && order.map(index => moments[index]!),
  }
}

/** Gathers a table's rows by a column and makes one number of each group, in the order asked for; labels are in a language (BCP 47). */
export function summarise(table: DataTable, input: Gathering, language = 'en'): { rows: Row[]; category: string; amount: string | null } {
  const { categories, values, category, amount } = gathered(table, { ...input, series: null, beside: [] }, language)
  return {
    rows: categories.map((entry, index) => ({ ...entry, value: values[0]![index]! })),
    category: category.name,
    amount: amount?.name ?? null,
  }
}
