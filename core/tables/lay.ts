import { formatNumber, type Column } from '../data'
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

/**
 * Lays a table out in its box at the largest size of words at which all rows fit, at most the style's; columns as wide as their words need,
 * what is left shared.
 */
export function layTable(element: TableElement, columns: readonly Column[], look: TableLook): TableLayout {
  const { style, fonts, measurer, language, size: box } = look
  const most = element.size ?? style.size
  const words = columns.map((column, index) => cellWords(column, element.looks?.[index]?.format, language))
  const count = words[0]?.length ?? 0
  const hasHead = element.head !== false
  const totals = element.totals
    ? columns.map((column, index) => {
        const sum = totalOf(column)
        return sum === null
          ? index === 0
            ? look.total
            : ''
          : formatNumber(sum, element.looks?.[index]?.format ?? { decimals: null, scale: 'none', prefix: '', suffix: '' }, language, [sum])
      })
    : null
  const rows = (hasHead ? 1 : 0) + count + (totals ? 1 : 0)
  const bold = { ...style, weight: Math.max(600, style.weight) }
  const wide = (text: string, strong: boolean) => measurer.width(text, fontOf([], strong ? bold : style, fonts, 1)) / style.size
  // Widths in multiples of the size of the words.
  const natural = columns.map(
    (column, index) =>
      Math.max(
        1,
        hasHead ? wide(column.name, true) : 0,
        totals ? wide(totals[index]!, true) : 0,
        ...words[index]!.map(text => Math.min(wide(text, false), 24)),
      ) * (element.looks?.[index]?.wide ?? 1),
  )
  const isText = columns.map(column => column.type === 'text')

  const at = (size: number): TableLayout => {
    const pad = { across: size * 0.5, down: size * 0.32 }
    const needed = natural.map(width => width * size + 2 * pad.across)
    const whole = needed.reduce((sum, width) => sum + width, 0)
    let widths: number[]
    if (whole <= box.width) widths = needed.map(width => (width * box.width) / whole)
    else {
      // Numbers and days keep what they need as far as there is room; words share the rest and break into lines.
      const fixed = needed.reduce((sum, width, index) => sum + (isText[index] ? 0 : width), 0)
      const room = box.width - fixed
      const texts = whole - fixed
      widths =
        texts > 0 && room > texts * 0.3
          ? needed.map((width, index) => (isText[index] ? (width * room) / texts : width))
          : needed.map(width => (width * box.width) / whole)
    }
    const xs = widths.map((_, index) => widths.slice(0, index).reduce((sum, width) => sum + width, 0))
    const linesOf = (text: string, column: number, strong: boolean): string[] => {
      if (!text) return ['']
      const room = Math.max(1, widths[column]! - 2 * pad.across)
      if (wide(text, strong) * size <= room) return [text]
      return setText(
        textOf([text]),
        { ...(strong ? bold : style), size, leastSize: 1, letterSpacing: 0 },
        fonts,
        { width: room, height: Infinity },
        measurer,
      ).lines.map(line => line.runs.map(run => run.text).join(''))
    }
    const made: { kind: TableCell['kind']; lines: string[][] }[] = [
      ...(hasHead ? [{ kind: 'head' as const, lines: columns.map((column, index) => linesOf(column.name, index, true)) }] : []),
      ...Array.from({ length: count }, (_, row) => ({
        kind: 'body' as const,
        lines: columns.map((_, index) => linesOf(words[index]![row]!, index, false)),
      })),
      ...(totals ? [{ kind: 'total' as const, lines: totals.map((text, index) => linesOf(text, index, true)) }] : []),
    ]
    const heights = made.map(row => Math.max(...row.lines.map(lines => lines.length), 1) * size * 1.22 + 2 * pad.down)
    const used = heights.reduce((sum, height) => sum + height, 0)
    // Rows take up what is left, but not so much that the table falls apart.
    const extra = rows ? Math.min(Math.max(0, box.height - used) / rows, size * 0.9) : 0
    let y = 0
    let body = 0
    const cells = made.flatMap((row, index) => {
      const height = heights[index]! + extra
      const band = row.kind === 'body' && element.banding !== false && body++ % 2 === 1
      const cells = row.lines.map((lines, column): TableCell => ({
        row: index,
        column,
        kind: row.kind,
        x: xs[column]!,
        y,
        width: widths[column]!,
        height,
        lines,
        band,
        shift: 0,
        align: alignOf(element, columns[column]!, column) === 'decimal' ? 'right' : (alignOf(element, columns[column]!, column) as 'left'),
      }))
      y += height
      return cells
    })
    for (const [column, { type }] of columns.entries()) {
      if (type !== 'number' || alignOf(element, columns[column]!, column) !== 'decimal') continue
      const own = cells.filter(cell => cell.column === column && cell.kind !== 'head')
      const ends = own.map(cell => wide(atDecimal(cell.lines[0] ?? '', language)[1], cell.kind === 'total') * size)
      const longest = Math.max(0, ...ends)
      own.forEach((cell, index) => {
        cell.shift = ends[index]! - longest
      })
    }
    return {
      cells,
      rows,
      columns: columns.length,
      size,
      pad,
      fits: y <= box.height + 1 && widths.every((width, index) => isText[index] || width >= needed[index]! - 1),
    }
  }

  const whole = at(most)
  if (whole.fits || !rows) return whole
  let [low, high] = [Math.min(leastSize, most), most]
  const least = at(low)
  if (!least.fits) return least
  let best = least
  while (high - low > 0.25) {
    const middle = (low + high) / 2
    const tried = at(middle)
    if (tried.fits) {
      best = tried
      low = middle
    } else high = middle
  }
  return best
}

const alignOf = (element: TableElement, column: Column, index: number) =>
  element.looks?.[index]?.align ?? (column.type === 'number' ? 'decimal' : 'left')
