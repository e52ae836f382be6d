import { keyOf, type Column, type DataTable } from '../../data'
import {
  boundsOf,
  isPlan,
  largerRings,
  placeFinder,
  positionsOf,
  readWkt,
  wound,
  type Bounds,
  type Outline,
  type PlaceFinder,
} from '../../maps'
import { memoByRecords } from '../../values'

/** The outlines of a table, one for each row, and how its places are found by name. */
export interface TableOutlines {
  /** Null where a row has none. */
  outlines: readonly (Outline | null)[]
  /** What holds each, degrees or what its coordinates are in; null where there is nothing. */
  bounds: readonly (Bounds | null)[]
  /** Whether the coordinates are those of a plan, and no degrees. */
  isPlan: boolean
  /** What the places are called. */
  names: readonly string[]
  finder: PlaceFinder
}

/** The column of outlines of a table; undefined where it has none. */
export const outlineColumn = (table: DataTable): Column | undefined => table.columns.find(({ kind }) => kind === 'outline')

/** The columns of degrees of a table, north and east; undefined where one of them is missing. */
export function degreeColumns(table: DataTable): { north: Column; east: Column } | undefined {
  const [north, east] = (['latitude', 'longitude'] as const).map(kind => table.columns.find(column => column.kind === kind))
  return north && east ? { north, east } : undefined
}

/** Whether a table says by itself where its rows lie. */
export const isPlaced = (table: DataTable) => !!outlineColumn(table) || !!degreeColumns(table)

/** What holds the larger areas of an outline: land far off counts where it is not small. */
const mainBounds = (outline: Outline): Bounds | undefined =>
  boundsOf(
    outline.type === 'MultiPolygon'
      ? largerRings(outline.coordinates.flatMap(([ring]) => (ring ? [ring] : []))).flat()
      : positionsOf(outline),
  )

/** The outlines of a table; undefined where it has none. */
export const outlinesOf: (table: DataTable) => TableOutlines | undefined = memoByRecords(
  (table: DataTable) => [table],
  table => {
    const column = outlineColumn(table)
    if (!column) return undefined
    const written = column.values.map(value => (typeof value === 'string' ? (readWkt(value) ?? null) : null))
    const flat = written.map(outline => (outline && mainBounds(outline)) ?? null)
    const plan = flat.some(bounds => bounds !== null && isPlan(bounds))
    const named = table.columns.filter(({ type, kind }) => type === 'text' && kind !== 'outline')
    // What a place is called stands before what it is filed under.
    const ordered = [...named.filter(({ kind }) => kind !== 'code'), ...named.filter(({ kind }) => kind === 'code')]
    const places = column.values.map((_, row) => ordered.flatMap(({ values }) => (values[row] === null ? [] : [String(values[row])])))
    return {
      outlines: plan ? written : written.map(outline => outline && wound(outline)),
      bounds: flat,
      isPlan: plan,
      names: places.map(([name]) => name ?? ''),
      finder: placeFinder(places),
    }
  },
)

/** The first row of each category, by its key. */
export const firstRows: (table: DataTable, column: Column) => ReadonlyMap<string, number> = memoByRecords(
  (_table: DataTable, column: Column) => [column],
  (_table, column) => {
    const rows = new Map<string, number>()
    column.values.forEach((value, row) => {
      const key = keyOf(value)
      if (!rows.has(key)) rows.set(key, row)
    })
    return rows
  },
)
