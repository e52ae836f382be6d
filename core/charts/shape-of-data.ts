import { gatheredFor, isTime, nameWithoutEnding, type DataTable, type Entry, type Gathered } from '../data'
import { countryOf, usualMap } from '../maps'
import { degreeColumns, outlineColumn, outlinesOf } from './maps/outlines'
import type { ChartSpec } from '../model'

/** What the columns that a chart draws hold: what the choice of a kind goes by. */
export interface TableShape {
  data: Gathered
  categories: number
  series: number
  /** Rows of the table. */
  rows: number
  /** Whether the categories run in time, and whether they stand in its order. */
  time: boolean
  inOrder: boolean
  negative: boolean
  /** Whether amounts are such as are added up: no shares, no means, no moments. */
  adds: boolean
  /** Names of columns of numbers beside the one drawn. */
  otherAmounts: readonly string[]
  /** How often two series pass each other from one category to the next. */
  crossings: number
  /** Numbers that are missing. */
  missing: number
  /** What its rows say of where they lie: outlines of areas, or points; null where they say nothing. */
  placed: 'areas' | 'points' | null
  /** The map that most of the categories, or of the series, are found on by name; null where none finds any. */
  named: NamedMap | null
}

/** How well a kind suits what a table holds. */
export interface Suit {
  /** 0 (misleads, or can hardly be read) to 1 (as if made for it). */
  score: number
  /** One sentence of why, true of these rows. */
  why: string
  /** Where it would mislead: what, and what to do. */
  warning?: string
  /** What to do, where a press can do it. */
  remedy?: { label: string; change: Partial<ChartSpec> }
  /** The column that it would need and that is not there; it cannot be drawn. */
  lacks?: string
}

function crossingsOf({ values, categories }: Gathered): number {
  // Of very many series, it is enough to know that there are many.
  if (values.length > 40) return values.length
  let count = 0
  for (let at = 1; at < categories.length; at++)
    for (let a = 0; a < values.length; a++)
      for (let b = a + 1; b < values.length; b++) {
        const [before, after] = [(values[a]![at - 1] ?? 0) - (values[b]![at - 1] ?? 0), (values[a]![at] ?? 0) - (values[b]![at] ?? 0)]
        if (before * after < 0) count++
      }
  return count
}

/** A map that names of a chart are found on. */
export interface NamedMap {
  map: string
  /** What its places are called: “countries”, or the map. */
  called: string
  /** How many categories, and how many series, are found. */
  categories: number
  series: number
}

/** More names than that no map is asked for: it could not be read. */
const mostNames = 5000

/** The map that finds most names: one of the team's before the world where both find as many. */
function namedMap(data: Gathered, maps: readonly DataTable[]): NamedMap | null {
  const names = (entries: readonly Entry[]) => (entries.length > mostNames ? [] : entries)
  const across = names(data.category.type === 'text' ? data.categories : [])
  const series = names(data.seriesName === null ? [] : data.series)
  if (!across.length && !series.length) return null
  const found = (map: string, called: string, isThere: (key: string) => boolean): NamedMap => ({
    map,
    called,
    categories: across.filter(({ key }) => isThere(key)).length,
    series: series.filter(({ key }) => isThere(key)).length,
  })
  const all = [
    ...maps.flatMap(map => {
      const finder = outlinesOf(map)?.finder
      return finder ? [found(map.id, `places of “${nameWithoutEnding(map.name)}”`, key => finder.find(key) !== undefined)] : []
    }),
    found(usualMap, 'countries', key => countryOf(key) !== undefined),
  ]
  const weight = ({ categories, series: own }: NamedMap) => categories + own
  const best = all.reduce((most, one) => (weight(one) > weight(most) ? one : most))
  return weight(best) ? best : null
}

function placedBy(table: DataTable): TableShape['placed'] {
  const outlines = outlineColumn(table)
  if (outlines) return outlines.values.some(value => typeof value === 'string' && /POLYGON/i.test(value.slice(0, 40))) ? 'areas' : 'points'
  return degreeColumns(table) ? 'points' : null
}

/** What a chart's columns hold; `maps` are those of the team that its names are looked for on, beside the world. */
export function shapeOfData(spec: ChartSpec, table: DataTable, language = 'en', maps: readonly DataTable[] = []): TableShape {
  const data = gatheredFor(spec, table, language)
  const all = data.values.flat()
  const { category, amount } = data
  return {
    data,
    categories: data.categories.length,
    series: data.series.length,
    rows: table.columns[0]?.values.length ?? 0,
    time: isTime(category),
    inOrder: spec.order === 'data' || !isTime(category),
    negative: all.some(value => value !== null && value < 0),
    adds: spec.aggregate !== 'mean' && amount?.kind !== 'percent' && amount?.kind !== 'duration',
    otherAmounts: table.columns
      .filter(column => column.type === 'number' && column !== amount && column !== category)
      .map(({ name }) => name),
    crossings: crossingsOf(data),
    missing: all.filter(value => value === null).length,
    placed: placedBy(table),
    named: namedMap(data, maps),
  }
}

/** The remedy of too many: the largest few, and all others as one. */
export const showLargest = (largest: number) => ({ label: `Show ${largest} and the rest`, change: { largest } })

/** What is to be said where time runs in another order than its own. */
export const outOfOrder = {
  warning: 'Time does not run in order.',
  remedy: { label: 'Put it in its order', change: { order: 'data' as const } },
}
