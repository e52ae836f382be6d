import { columnNamed, firstCategory, keyOf, keyWords, rowCount, type DataTable } from '../data'
import { copySlideRecords, removeSlides } from '../edits'
import { applyChanges, infoOf, onlySlides, setRecord, slidesOf, type Deck, type Slide, type SlideRows } from '../model'
import { memoByRecords, ordersAt } from '../values'

/** So many slides one slide becomes at most. */
export const mostRows = 1000

type TableOf = (id: string) => DataTable | undefined

/** The rows of a table that a slide is there for, by their numbers, in its order. */
export function rowsFor(rows: SlideRows, table: DataTable): number[] {
  const column = columnNamed(table, rows.where?.column ?? null)
  const wanted = new Set(rows.where?.keys)
  const all = Array.from({ length: rowCount(table) }, (_, row) => row)
  const kept = rows.where ? all.filter(row => column && wanted.has(keyOf(column.values[row]))) : all
  const by = columnNamed(table, rows.order?.column ?? null)
  if (by) {
    const way = rows.order!.way === 'falling' ? -1 : 1
    const value = (row: number) => by.values[row] ?? null
    kept.sort((a, b) => {
      const [x, y] = [value(a), value(b)]
      // What is missing comes last, whichever way.
      if (x === null || y === null) return Number(x === null) - Number(y === null) || a - b
      const order = typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y))
      return way * order || a - b
    })
  }
  return kept.slice(0, rows.most ?? mostRows)
}

/** By what a row is known: the key of what it is called. */
export const rowKey = (table: DataTable, row: number) => keyOf(firstCategory(table).values[row])

/** What a row is called. */
export function rowName(table: DataTable, row: number, language: string): string {
  const column = firstCategory(table)
  return keyWords(column, column.values[row] ?? null, language) || `Row ${row + 1}`
}

/** A deck whose slide is there for one of its rows alone, by what that row is called. */
export interface DeckOfRow {
  name: string
  deck: Deck
}

/** For each row of a slide, the deck in which the slide is there for that row alone; rows that are called alike are one. */
export function eachRow(deck: Deck, slide: string, tableOf: TableOf): DeckOfRow[] {
  const rows = deck.slides[slide]?.rows
  const table = rows && tableOf(rows.table)
  if (!table) return []
  const column = firstCategory(table)
  const { language } = infoOf(deck)
  const keys = new Map(rowsFor(rows, table).map(row => [keyOf(column.values[row]), rowName(table, row, language)]))
  return [...keys].map(([key, name]) => ({
    name,
    deck: applyChanges(deck, [setRecord('slides', slide, { rows: { ...rows, where: { column: column.name, keys: [key] } } })]),
  }))
}

/** The row that a slide shows while it is worked on: the first of those it is there for; null where it is there for none. */
export function shownRow(deck: Deck, owner: string, tableOf: TableOf): { table: string; row: number } | null {
  const rows = deck.slides[owner]?.rows
  const table = rows && tableOf(rows.table)
  const [first] = table ? rowsFor(rows, table) : []
  return first === undefined ? null : { table: rows!.table, row: first }
}

/** The id of the slide that is there for one of the rows of another, by its place among them. */
const slideOfRow = (slide: string, at: number) => `${slide}-${at + 1}-0`.slice(-64)

/** The slide that is played where another is asked for: itself, or the first of those that are there for its rows. */
export const playedSlide = (deck: Deck, slide: string): string =>
  !deck.slides[slide] && deck.slides[slideOfRow(slide, 0)] ? slideOfRow(slide, 0) : slide

/** A slide in place of which one for each of its rows stands, with the row that each is there for, by the new slide’s id. */
function put(deck: Deck, slide: Slide, table: DataTable, found: Map<string, { table: string; row: number }>): Deck {
  const wanted = rowsFor(slide.rows!, table)
  const siblings = slidesOf(deck)
  const orders = ordersAt(siblings, siblings.indexOf(slide) + 1, wanted.length)
  const own = onlySlides(deck, [slide.id])
  const changes = wanted.flatMap((row, at) => {
    let count = 0
    // Always the same for the same row: what plays is found again when other rows come.
    const context = { id: () => `${slide.id}-${at + 1}-${count++}`.slice(-64) }
    found.set(slideOfRow(slide.id, at), { table: table.id, row })
    return copySlideRecords(own, [orders[at]!], layout => layout, context)
  })
  // Sounds that begin or end with the slide do so with those that stand in its place.
  const ends = (id: string, at: number) => (id === slide.id && wanted.length ? slideOfRow(slide.id, at) : id)
  const sounds = Object.values(deck.sounds).map(({ id, fromSlide, untilSlide }) =>
    setRecord('sounds', id, { fromSlide: ends(fromSlide, 0), untilSlide: ends(untilSlide, wanted.length - 1) }),
  )
  const copied = applyChanges(deck, [...changes, ...sounds])
  return applyChanges(copied, removeSlides(copied, { slides: [slide.id] }))
}

/** A deck with the slides that are there for rows in place of those that ask for them, and the row of each. */
export interface DeckOfRows {
  deck: Deck
  rows: ReadonlyMap<string, { table: string; row: number }>
}

const slidesWithRows = memoByRecords(
  (slides: Deck['slides']) => [slides],
  slides => Object.values(slides).filter(slide => slide.rows),
)

/** The ids of the tables that slides of a deck are there for the rows of. */
export const tablesOfRows = (deck: Deck): string[] => slidesWithRows(deck.slides).flatMap(({ rows }) => rows?.table ?? [])

/**
 * A deck in which a slide that is there for rows is one for each of them. Where its table is not at hand it stays as it is; where no row
 * counts there is none.
 */
export function withRows(deck: Deck, tableOf: TableOf): DeckOfRows {
  const rows = new Map<string, { table: string; row: number }>()
  let made = deck
  for (const { id } of slidesWithRows(deck.slides)) {
    const slide = made.slides[id]!
    const table = tableOf(slide.rows!.table)
    if (table) made = put(made, slide, table, rows)
  }
  return { deck: made, rows }
}
