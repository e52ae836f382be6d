import type { Column } from '../data'
import { textOf, type TableElement, type Theme } from '../model'
import type { TextSetting } from '../resolved'
import { fontOf, setText, type Measurer } from '../text'
import { atDecimal, cellWords, totalOf } from './content'

/**
 * A cell and where it stands, px from the table's top left. `shift` sets its words aside so that decimal signs stand one under the other.
 */
export interface TableCell {
  row: number
  column: number
  kind: 'head' | 'body' | 'total'
  x: number
  y: number
  width: number
  height: number
  lines: string[]
  align: 'left' | 'center' | 'right'
  shift: number
  /** A body row on the other tint. */
  band: boolean
}

export interface TableLayout {
  cells: TableCell[]
  rows: number
  columns: number
  /** Size of its words, px. */
  size: number
  /** Room beside and above the words of a cell, px. */
  pad: { across: number; down: number }
  /** False where its words need more room than it has even at their least size. */
  fits: boolean
}

export interface TableLook {
  style: TextSetting
  fonts: Theme['fonts']
  size: { width: number; height: number }
  language: string
  measurer: Measurer
  total: string
}

const leastSize = 10

/** What a table says, cell by cell, before it has places. */
interface Words {
  element: TableElement
  columns: readonly Column[]
  look: TableLook
  /** Rows from the top: what kind each is, and its words by column. */
  rows: readonly { kind: TableCell['kind']; words: readonly string[] }[]
}

/** The words of a table's last row, where it has sums: the sums of numbers, and a word in the first column. */
function totalsOf(element: TableElement, columns: readonly Column[], look: TableLook): string[] {
  return columns.map((column, index) => {
    const sum = totalOf(column)
    if (sum === null) return index === 0 ? look.total : ''
    // Written as what it is the sum of.
    return cellWords({ ...column, values: [...column.values, sum] }, element.looks?.[index]?.format, look.language).at(-1)!
  })
}

function wordsOf(element: TableElement, columns: readonly Column[], look: TableLook): Words {
  const byColumn = columns.map((column, index) => cellWords(column, element.looks?.[index]?.format, look.language))
  const count = byColumn[0]?.length ?? 0
  const rows = [
    ...(element.head === false ? [] : [{ kind: 'head' as const, words: columns.map(column => column.name) }]),
    ...Array.from({ length: count }, (_, row) => ({ kind: 'body' as const, words: byColumn.map(words => words[row] ?? '') })),
    ...(element.totals ? [{ kind: 'total' as const, words: totalsOf(element, columns, look) }] : []),
  ]
  return { element, columns, look, rows }
}

const bold = (style: TextSetting): TextSetting => ({ ...style, weight: Math.max(600, style.weight) })

/** How wide words are, as a multiple of their size. */
const wide = ({ style, fonts, measurer }: TableLook, text: string, strong: boolean) =>
  measurer.width(text, fontOf([], strong ? bold(style) : style, fonts, 1)) / style.size

/** Beyond this multiple of their size, words of a body break rather than ask for a wider column. */
const widestBody = 24

/** What each column needs, as a multiple of the size of its words. */
const naturalWidths = ({ element, columns, look, rows }: Words) =>
  columns.map((_, index) => {
    const needed = rows.map(({ kind, words }) => {
      const own = wide(look, words[index] ?? '', kind !== 'body')
      return kind === 'body' ? Math.min(own, widestBody) : own
    })
    return Math.max(1, ...needed) * (element.looks?.[index]?.wide ?? 1)
  })

/** The widths of columns in a box: what they need and a share of what is left; where there is too little, words give way to numbers. */
function sharedWidths(needed: readonly number[], isText: readonly boolean[], room: number): number[] {
  const whole = needed.reduce((sum, width) => sum + width, 0)
  if (whole <= room) return needed.map(width => (width * room) / whole)
  // Numbers and days keep what they need as far as there is room; words share the rest and break into lines.
  const fixed = needed.reduce((sum, width, index) => sum + (isText[index] ? 0 : width), 0)
  const [left, texts] = [room - fixed, whole - fixed]
  return texts > 0 && left > texts * 0.3
    ? needed.map((width, index) => (isText[index] ? (width * left) / texts : width))
    : needed.map(width => (width * room) / whole)
}

/** The words of a cell in lines no wider than `room`, px, at a size. */
function linesOf(
  { style, fonts, measurer }: TableLook,
  text: string,
  strong: boolean,
  size: number,
  room: number,
  fits: boolean,
): string[] {
  if (!text || fits) return [text]
  const setting = { ...(strong ? bold(style) : style), size, leastSize: 1, letterSpacing: 0 }
  const { lines } = setText(textOf([text]), setting, fonts, { width: room, height: Infinity }, measurer)
  return lines.map(line => line.runs.map(run => run.text).join(''))
}

/** Sets the numbers of each column that is set by its decimal signs aside, so that those stand one under the other. */
function alignDecimals(cells: readonly TableCell[], { element, columns, look }: Words, size: number) {
  for (const [index, column] of columns.entries()) {
    if (column.type !== 'number' || alignOf(element, column, index) !== 'decimal') continue
    const own = cells.filter(cell => cell.column === index && cell.kind !== 'head')
    const ends = own.map(cell => wide(look, atDecimal(cell.lines[0] ?? '', look.language)[1], cell.kind === 'total') * size)
    const longest = Math.max(0, ...ends)
    own.forEach((cell, at) => {
      cell.shift = (ends[at] ?? 0) - longest
    })
  }
}

/** A table at a size of its words, whether it fits or not. `natural`: what its columns need. */
function layAt(words: Words, natural: readonly number[], size: number): TableLayout {
  const { element, columns, look, rows } = words
  const box = look.size
  const pad = { across: size * 0.5, down: size * 0.32 }
  const needed = natural.map(width => width * size + 2 * pad.across)
  const isText = columns.map(column => column.type === 'text')
  const widths = sharedWidths(needed, isText, box.width)
  const lines = rows.map(row =>
    row.words.map((text, index) => {
      const room = Math.max(1, (widths[index] ?? 0) - 2 * pad.across)
      return linesOf(look, text, row.kind !== 'body', size, room, wide(look, text, row.kind !== 'body') * size <= room)
    }),
  )
  const heights = lines.map(row => Math.max(...row.map(one => one.length), 1) * size * 1.22 + 2 * pad.down)
  const used = heights.reduce((sum, height) => sum + height, 0)
  // Rows take up what is left, but not so much that the table falls apart.
  const extra = rows.length ? Math.min(Math.max(0, box.height - used) / rows.length, size * 0.9) : 0
  let y = 0
  let body = 0
  const cells = rows.flatMap(({ kind }, row) => {
    const height = (heights[row] ?? 0) + extra
    const band = kind === 'body' && element.banding !== false && body++ % 2 === 1
    let x = 0
    const made = columns.map((own, column): TableCell => {
      const width = widths[column] ?? 0
      const align = alignOf(element, own, column)
      const place = { x, y, width, height }
      x += width
      return {
        row,
        column,
        kind,
        ...place,
        lines: lines[row]?.[column] ?? [''],
        band,
        shift: 0,
        align: align === 'decimal' ? 'right' : align,
      }
    })
    y += height
    return made
  })
  alignDecimals(cells, words, size)
  const fits = y <= box.height + 1 && widths.every((width, index) => isText[index] || width >= (needed[index] ?? 0) - 1)
  return { cells, rows: rows.length, columns: columns.length, size, pad, fits }
}

/**
 * Lays a table out in its box at the largest size of words at which all rows fit, at most the style's; columns as wide as their words need,
 * what is left shared.
 */
export function layTable(element: TableElement, columns: readonly Column[], look: TableLook): TableLayout {
  const words = wordsOf(element, columns, look)
  const natural = naturalWidths(words)
  const most = element.size ?? look.style.size
  const whole = layAt(words, natural, most)
  if (whole.fits || !whole.rows) return whole
  let [low, high] = [Math.min(leastSize, most), most]
  const least = layAt(words, natural, low)
  if (!least.fits) return least
  let best = least
  while (high - low > 0.25) {
    const middle = (low + high) / 2
    const tried = layAt(words, natural, middle)
    if (tried.fits) {
      best = tried
      low = middle
    } else high = middle
  }
  return best
}

const alignOf = (element: TableElement, column: Column, index: number) =>
  element.looks?.[index]?.align ?? (column.type === 'number' ? 'decimal' : 'left')
