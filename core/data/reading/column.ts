import type { Column } from '../table'
import { gridWords } from '../moments'
import { kindsOfColumns, type Reading, type TableHints } from './kinds'
import type { ColumnChoice } from './choices'
import { isBlank, isMissing, isMissingText } from './languages'
import { ColumnSample, headerUnit, type HeaderUnit } from './sample'

/** Of a large table so many rows are looked at, evenly over it, to find out what its columns are. */
export const sampleSize = 4000

/** A way of reading a column as it is offered: with how many of the cells it reads, and what becomes of one of them. */
export interface Offer {
  choice: ColumnChoice
  label: string
  /** Of `of` cells that were looked at and are not missing. */
  reads: number
  of: number
  /** A cell as it was written, and its value; null where none is read so. */
  example: { cell: string; value: string | number; shown: string } | null
}

/** How a column was read. */
export interface ColumnReading {
  /** As the table has it. */
  name: string
  /** As the header has it, with its unit. */
  header: string
  choice: ColumnChoice
  /** A sentence; between asterisks what can be changed by a press. */
  words: string
  /** Whether a person has decided it. */
  isChosen: boolean
  told?: Reading['told']
  open?: Reading['open']
  offers: readonly Offer[]
  /** Whether not all cells were looked at for them, but some of a large table. */
  sampled: boolean
  /** One of the column’s own cells, as it was written. */
  sample: string
  /** Cells that stand for nothing, as they are written, with how often. */
  missing: readonly (readonly [mark: string, count: number])[]
  /** Cells that could not be read so and count as missing: the first few, each with its row, and how many in all. */
  unread: { count: number; cells: readonly { row: number; cell: string }[] }
}

/** Cells of one column over the rows that are data. */
export type Cells = (row: number) => string

const isGone = (marks: Reading['marks'], cell: string) => (marks === 'numbers' ? isMissing(cell) : isMissingText(cell))

export function sampleOf(name: string, index: number, header: HeaderUnit, count: number, at: Cells, size: number): ColumnSample {
  const step = Math.max(1, count / size)
  const written: string[] = []
  for (let row = 0; Math.floor(row) < count; row += step) {
    const cell = at(Math.floor(row))
    if (!isBlank(cell)) written.push(cell)
  }
  const cells = written.filter(cell => !isMissing(cell))
  // Where all that stands there are marks for nothing, they are what the column says.
  return new ColumnSample(name, index, header, cells.length ? cells : written, written)
}

const isSame = (a: ColumnChoice, b: ColumnChoice) =>
  a.kind === b.kind && (a.decimal ?? '.') === (b.decimal ?? '.') && (a.order ?? 'dmy') === (b.order ?? 'dmy') && !!a.minutes === !!b.minutes

/** Characters that a cell has at most which may be anything, and the kinds that longer ones can be. */
const longest = 2000
const readsLong: ReadonlySet<string> = new Set(['outline', 'text'])
/** So much of a cell is enough to be known again, characters. */
const shownOf = 300

/** All ways in which a column can be read, the likeliest first; what a person has decided before them all. */
export function readingsOf(sample: ColumnSample, hints: TableHints, choice?: ColumnChoice): Reading[] {
  // Cells as long as no words are but outlines: nothing else is looked for in them.
  const kinds = sample.cells.some(cell => cell.length > longest) ? kindsOfColumns.filter(({ name }) => readsLong.has(name)) : kindsOfColumns
  const all = kinds.flatMap(kind => [...kind.readings(sample, hints)])
  const chosen = choice && (all.find(reading => isSame(reading.choice, choice)) ?? all.find(reading => reading.choice.kind === choice.kind))
  all.sort((a, b) => b.likely - a.likely)
  return chosen ? [chosen, ...all.filter(reading => reading !== chosen)] : all
}

/** A value as an answer names it: with what its column would have above it. */
function shownBy({ type, grain, choice, unit }: Reading, value: string | number): string {
  const words = gridWords({ type, kind: choice.kind, ...(grain ? { grain } : {}) }, value, 'en')
  return unit && choice.kind !== 'duration' ? `${words} ${unit}` : words
}

/** Those worth offering: that read something, one of those that come to the same. */
function offersOf(readings: readonly Reading[], sample: ColumnSample): Offer[] {
  const offers: Offer[] = []
  const seen = new Set<string>()
  for (const reading of readings) {
    const cells = reading.marks === 'numbers' ? sample.cells : sample.written
    let reads = 0
    let example: Offer['example'] = null
    for (const cell of cells) {
      const value = reading.read(cell)
      if (value === undefined) continue
      reads++
      if (!example || (String(example.value) === example.cell && String(value) !== cell.trim()))
        example = { cell: cell.trim(), value, shown: shownBy(reading, value) }
    }
    const key = reading.label
    if (!reads || seen.has(key)) continue
    seen.add(key)
    const short = example && {
      ...example,
      cell: example.cell.slice(0, shownOf),
      value: typeof example.value === 'string' ? example.value.slice(0, shownOf) : example.value,
    }
    offers.push({ choice: reading.choice, label: reading.label, reads, of: cells.length, example: short })
  }
  return offers
}

/** Reads all cells of a column in one way. */
function valuesBy(reading: Reading, count: number, at: Cells, zero: boolean) {
  const values: Column['values'] = new Array(count)
  const missing = new Map<string, number>()
  const unread: { row: number; cell: string }[] = []
  let unreadCount = 0
  // Cells come again; those that are read already are not read anew.
  const known = new Map<string, string | number | undefined>()
  for (let row = 0; row < count; row++) {
    const cell = at(row)
    const before = known.get(cell)
    if (before !== undefined) {
      values[row] = before
      continue
    }
    if (cell === '' || isGone(reading.marks, cell)) {
      const mark = cell.trim()
      missing.set(mark, (missing.get(mark) ?? 0) + 1)
      values[row] = zero && reading.type === 'number' ? 0 : null
      continue
    }
    const value = reading.read(cell)
    if (value !== undefined) {
      values[row] = value
      if (known.size < 2000) known.set(cell, value)
      continue
    }
    values[row] = null
    if (unreadCount++ < 5) unread.push({ row, cell: cell.trim().slice(0, shownOf) })
  }
  return { values, missing: [...missing], unread: { count: unreadCount, cells: unread } }
}

/**
 * Reads a column: guesses what it is by a sample, or takes what was decided, and reads all of its cells so. A guess that a cell of the
 * whole column contradicts, or that leaves a question open, is made again with all of them in sight.
 */
export function readColumn(
  input: { name: string; written: string; index: number; count: number; at: Cells; zero: boolean; choice?: ColumnChoice },
  hints: TableHints,
): { column: Column; reading: ColumnReading } {
  const { name, written, index, count, at, choice } = input
  const header = headerUnit(written)
  let size = sampleSize
  let sample = sampleOf(header.name, index, header, count, at, size)
  let readings = readingsOf(sample, hints, choice)
  let made = valuesBy(readings[0]!, count, at, input.zero)
  if (count > sampleSize && !choice && (made.unread.count > 0 || readings[0]!.open)) {
    size = count
    sample = sampleOf(header.name, index, header, count, at, size)
    readings = readingsOf(sample, hints)
    made = valuesBy(readings[0]!, count, at, input.zero)
  }
  const [reading] = readings as [Reading]
  const open = choice && isSame(choice, reading.choice) ? undefined : reading.open
  return {
    column: {
      name,
      type: open ? 'text' : reading.type,
      kind: reading.choice.kind,
      ...(reading.unit ? { unit: reading.unit } : {}),
      ...(reading.grain && !open ? { grain: reading.grain } : {}),
      ...(open ? { open: open.question } : {}),
      values: open ? Array.from({ length: count }, (_, row) => (isBlank(at(row)) ? null : at(row).trim())) : made.values,
    },
    reading: {
      name,
      header: written,
      choice: reading.choice,
      words: reading.words,
      isChosen: !!choice && isSame(choice, reading.choice),
      ...(reading.told ? { told: reading.told } : {}),
      ...(open ? { open } : {}),
      offers: offersOf(readings, sample),
      sampled: count > size,
      sample: sample.cells[0]?.trim().slice(0, shownOf) ?? '',
      missing: made.missing,
      unread: made.unread,
    },
  }
}
