import type { ChartSpec } from '../model'
import { memoByRecords } from '../values'
import { keyWords, momentPlace } from './moments'
import { columnNamed, firstAmount, firstCategory, isTime, rowCount, type Column, type DataTable } from './table'

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
  /** How many categories stay by themselves, the largest; all others become one. */
  largest?: number
}

/** What all categories that are not among the largest are gathered under. */
const restKey = 'the rest'

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

/** What a value is gathered under. */
export const keyOf = (value: string | number | null | undefined) =>
  String(value ?? '')
    .replace(/\s+/g, ' ')
    .trim() || 'not given'

interface Entries {
  entries: Entry[]
  of: (row: number) => number
}

/** The values of a column in the order of the rows, each as the number of one of the entries that it has. */
function entriesOf(column: Column, language: string): Entries {
  const entries: Entry[] = []
  const known = new Map<string | number | null, number>()
  const byKey = new Map<string, number>()
  return {
    entries,
    of(row) {
      const value = column.values[row] ?? null
      const at = known.get(value)
      if (at !== undefined) return at
      const key = keyOf(value)
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

/** The numbers of each series in each category, gathered. */
function pilesOf(table: DataTable, amounts: readonly (Column | null)[], across: Entries, apart: Entries | undefined): Pile[][] {
  const piles: Pile[][] = []
  const count = rowCount(table)
  for (let row = 0; row < count; row++) {
    const at = across.of(row)
    amounts.forEach((column, index) => {
      const value = column ? column.values[row] : 1
      const pile = ((piles[apart ? apart.of(row) : index] ??= [])[at] ??= { count: 0, sum: 0, least: Infinity, most: -Infinity })
      if (typeof value === 'number') put(pile, { count: 1, sum: value, least: value, most: value })
    })
  }
  return piles
}

function put(pile: Pile, more: Pile) {
  pile.count += more.count
  pile.sum += more.sum
  if (more.least < pile.least) pile.least = more.least
  if (more.most > pile.most) pile.most = more.most
}

/** What all series come to in each category; null where none holds a number. */
const allOf = (values: readonly (readonly (number | null)[])[], count: number) =>
  Array.from({ length: count }, (_, at) =>
    values.reduce<number | null>((sum, list) => (typeof list[at] === 'number' ? (sum ?? 0) + list[at] : sum), null),
  )

/** The largest categories in their order, and all others as one at the end. */
function withRest(entries: readonly Entry[], piles: readonly Pile[][], all: readonly (number | null)[], largest: number) {
  const byAmount = entries.map((_, at) => at).sort((a, b) => (all[b] ?? -Infinity) - (all[a] ?? -Infinity) || a - b)
  const kept = byAmount.slice(0, largest).sort((a, b) => a - b)
  const rest = byAmount.slice(largest)
  return {
    entries: [...kept.map(at => entries[at]!), { key: restKey, label: `The rest (${rest.length})` }],
    piles: piles.map(list => {
      const made: Pile = { count: 0, sum: 0, least: Infinity, most: -Infinity }
      for (const at of rest) if (list[at]) put(made, list[at])
      return [...kept.map(at => list[at]!), made]
    }),
  }
}

/** Where categories stand in time, days; null where one of them does not. */
export function momentsOf(category: Column, entries: readonly Entry[]): number[] | null {
  if (!isTime(category)) return null
  const grain = category.type === 'number' ? 'year' : (category.grain ?? 'day')
  const places = entries.map(({ key }) => momentPlace(key, grain))
  return places.every(place => place !== null) ? places : null
}

/** Columns of amounts that stand beside the first. */
const besideOf = (table: DataTable, names: readonly string[], first: Column) =>
  table.columns.filter(column => column.type === 'number' && column !== first && names.includes(column.name))

function gather(table: DataTable, input: Gathering, language: string): Gathered {
  const category = columnNamed(table, input.by) ?? firstCategory(table)
  const first = columnNamed(table, input.value) ?? firstAmount(table)
  const counting = input.aggregate === 'count' || !first
  const parting = columnNamed(table, input.series ?? null)
  const amounts = counting ? [null] : [first, ...(parting ? [] : besideOf(table, input.beside ?? [], first))]
  const across = entriesOf(category, language)
  const apart = parting && entriesOf(parting, language)
  const number = made[counting ? 'count' : input.aggregate]
  let piles = pilesOf(table, amounts, across, apart)
  const series = apart?.entries.length
    ? apart.entries
    : amounts.map(column => ({ key: column?.name ?? category.name, label: column?.name ?? category.name }))
  const valuesOf = (count: number) =>
    series.map((_, index) => Array.from({ length: count }, (__, at) => (piles[index]?.[at] ? number(piles[index][at]) : null)))
  let entries: readonly Entry[] = across.entries
  let values = valuesOf(entries.length)
  const cut = input.largest !== undefined && entries.length > input.largest + 1
  if (cut) {
    ;({ entries, piles } = withRest(entries, piles, allOf(values, entries.length), input.largest!))
    values = valuesOf(entries.length)
  }
  // What is put in another order than that of time does not stand in time.
  const moments = input.order === 'data' && !cut ? momentsOf(category, entries) : null
  const ranked = cut ? entries.slice(0, -1) : entries
  const order = ordered(input.order, ranked, allOf(values, ranked.length), moments)
  // The rest is what is left, however large: it stands last.
  if (cut) order.push(entries.length - 1)
  return {
    categories: order.map(index => entries[index]!),
    series,
    values: values.map(list => order.map(index => list[index]!)),
    category,
    amount: counting ? null : first,
    seriesName: parting?.name ?? null,
    moments: moments && order.map(index => moments[index]!),
  }
}

/** A table's rows as a chart gathers them; labels are in a language (BCP 47). */
export function gatheredFor(
  { across, height, aggregate, order, series, beside, largest }: ChartSpec,
  table: DataTable,
  language = 'en',
): Gathered {
  const wish = { by: across, value: height, aggregate, order, series: series ?? null, beside: beside ?? [] }
  return gathered(table, largest === undefined ? wish : { ...wish, largest }, language)
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
