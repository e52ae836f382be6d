import { columnNamed, isTime, isWhere, type Column, type DataTable } from '../data'
import type { ChartSpec } from '../model'
import { chartKinds, newChart } from './catalogue'
import { chosenColumns } from './columns'
import { usualMap } from '../maps'
import type { ChartKind, ChartPurpose } from './kinds/kind'
import { isPlaced } from './maps/outlines'
import { shapeOfData, type Suit } from './shape-of-data'

/** A kind offered for a table: how it would be drawn, how well it suits, and why. */
export interface Offer {
  kind: ChartKind
  spec: ChartSpec
  suit: Suit
}

/** So many series are told apart at most, where nobody chose them. */
const mostSeries = 24
/** How much what a kind shows weighs against how well it suits. */
const asked = 0.5

const distinct = (column: Column) => new Set(column.values).size

/** Whole numbers so few of which come again and again are rather groups, as zones or classes are. */
const mostZones = 4
const isZone = (column: Column) =>
  column.kind !== 'money' &&
  distinct(column) <= mostZones &&
  column.values.length >= 2 * distinct(column) &&
  column.values.every(value => value === null || Number.isInteger(value))

/** The columns of amounts of a table, those that are rather groups last; `across` is none. */
export function amountsIn(table: DataTable, across: Column | null): Column[] {
  const all = table.columns.filter(
    column => column.type === 'number' && !column.open && column !== across && column.kind !== 'code' && !isWhere(column),
  )
  return [...all.filter(column => !isZone(column)), ...all.filter(isZone)]
}

/**
 * The chart of a table that begins a choice: along its time, else its first category; of its first amount; for each of another category
 * where that is what makes its rows differ. What rose most, or is the most, is highlighted.
 */
export function proposedChart(table: DataTable): ChartSpec {
  const plain = newChart(table.id)
  const open = table.columns.filter(column => !column.open)
  const isCode = ({ kind }: Column) => kind === 'code' || kind === 'text'
  const groups = open.filter(column => column.type !== 'number' && !isWhere(column))
  const time = groups.find(isTime) ?? open.find(isTime)
  const words = groups.filter(column => column.type === 'text').sort((a, b) => Number(isCode(a)) - Number(isCode(b)))
  // A time that is another one in each row beside names says when, not along what.
  const isAlong = time && (distinct(time) > 1 || !words.length) && !(words[0] && distinct(words[0]) === words[0].values.length)
  const across = isAlong ? time : (words[0] ?? time ?? table.columns[0]!)
  const height = amountsIn(table, across)[0] ?? null
  const repeats = distinct(across) < across.values.length
  const series = repeats ? words.find(column => column !== across && distinct(column) > 1 && distinct(column) <= mostSeries) : undefined
  const spec: ChartSpec = {
    ...plain,
    across: across.name,
    height: height?.name ?? null,
    aggregate: !height ? 'count' : height.kind === 'percent' || height.kind === 'duration' ? 'mean' : 'sum',
    series: series?.name ?? null,
  }
  return withRule(spec, table)
}

/** A chart with what its columns have highlighted by themselves: of several series through time what rose most, else what is the most. */
export function withRule(spec: ChartSpec, table: DataTable): ChartSpec {
  const { rule: _, ...plain } = spec
  const { across, series, beside } = chosenColumns(spec, table)
  if (!series && !beside.length) return { ...plain, rule: 'most' }
  return isTime(across) ? { ...plain, rule: 'rise' } : plain
}

/**
 * The kinds that can draw a chart's columns, best first: those that show what is asked for, then by how well they suit; what would mislead
 * last, and what lacks a column apart. `maps` are those of the team that names are looked for on.
 */
export function offersFor(
  spec: ChartSpec,
  table: DataTable,
  show: ChartPurpose | null,
  language = 'en',
  maps: readonly DataTable[] = [],
): { offers: Offer[]; lacking: Offer[] } {
  const shape = shapeOfData(spec, table, language, maps)
  const all = chartKinds.flatMap((kind): Offer[] => {
    const suit = kind.suits?.(shape)
    const { options: _, ...rest } = spec
    return suit ? [{ kind, suit, spec: withMap({ ...rest, kind: kind.name }, kind, table, shape.named?.map) }] : []
  })
  const weight = ({ kind, suit }: Offer) => {
    const at = show === null ? -1 : kind.shows.indexOf(show)
    return suit.score + (at < 0 ? 0 : asked / (1 + at * 0.4)) - (suit.warning ? 10 : 0)
  }
  return {
    offers: all.filter(({ suit }) => !suit.lacks).sort((a, b) => weight(b) - weight(a)),
    lacking: all.filter(({ suit }) => suit.lacks),
  }
}

/** A chart of a kind with the map that it is drawn on: the one chosen; where its table does not say where its rows lie, `map`. */
export function withMap(spec: ChartSpec, { isMap }: ChartKind, table: DataTable, map: string = usualMap): ChartSpec {
  const { map: chosen, ...rest } = spec
  if (!isMap) return rest
  return chosen || isPlaced(table) ? spec : { ...rest, map }
}

/** A chart whose categories and series have changed places. */
export function swapped(spec: ChartSpec, table: DataTable): ChartSpec {
  const { series, across } = spec
  return series && columnNamed(table, series) ? { ...spec, across: series, series: across } : spec
}

/** The chart that suits a table best, of those that do not mislead. */
export function bestChart(table: DataTable, language = 'en'): ChartSpec {
  const spec = proposedChart(table)
  return offersFor(spec, table, null, language).offers[0]?.spec ?? spec
}

/** A chart that is given another table: its look stays, and its columns are chosen anew; where it had none, the kind is too. */
export function redrawn(before: ChartSpec | undefined, table: DataTable, language = 'en'): ChartSpec {
  if (!before?.table) return bestChart(table, language)
  const { kind, format, labels, total, color, highlightColor, options, map } = before
  const look = {
    kind,
    format,
    labels,
    total,
    ...(color ? { color } : {}),
    ...(highlightColor ? { highlightColor } : {}),
    ...(options ? { options } : {}),
    ...(map ? { map } : {}),
  }
  return { ...proposedChart(table), ...look }
}
