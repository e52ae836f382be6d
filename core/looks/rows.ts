import type { Frame, Item, Place } from '../families'
import { wordsOf, type Sheet } from './kit'

type WordsLook = Parameters<typeof wordsOf>[5]
interface RowsLook {
  /** The greatest height of a row, px of a slide whose shorter side is 1080. */
  most: number
  /** What stands before the words of each, px. */
  indent?: number
  /** The share of the width that leads take; on upright slides they stand above their texts. */
  split?: number
  /** px between rows. */
  gap?: number
  /** px between what lies beneath a row and its words. */
  pad?: number
  /** px that words hang beneath the top of their row; absent, they stand in its middle. */
  hang?: number
  words?: (index: number) => WordsLook
}

/**
 * Rows one under the other in the middle of an area: what `beneath` draws for each, then its lead, and its text beside it. Paths count from
 * 1, indexes from 0.
 */
export function pitched(
  sheet: Sheet,
  items: readonly Item[],
  area: Frame,
  { most, indent = 0, split = 0.4, gap = 0, pad = 0, hang, words = () => ({}) }: RowsLook,
  beneath: (path: number, row: Frame, index: number) => Place[],
): Place[] {
  const { unit, isUpright } = sheet
  const pitch = Math.min(most * unit, area.height / items.length)
  const top = area.y + Math.max(0, area.height - pitch * items.length) / 2
  return items.flatMap((item, index) => {
    const path = index + 1
    const row = { x: area.x, y: top + index * pitch, width: area.width, height: pitch - gap * unit }
    const under = Math.min((hang ?? 0) * unit, row.height * 0.16)
    const inner = {
      x: row.x + (indent + pad) * unit,
      y: row.y + pad * 0.4 * unit + under,
      width: row.width - (indent + 2 * pad) * unit,
      height: row.height - pad * 0.8 * unit - under,
    }
    const [lead, text] = isUpright
      ? [
          { ...inner, height: inner.height * 0.46 },
          { ...inner, y: inner.y + inner.height * 0.48, height: inner.height * 0.52 },
        ]
      : [
          { ...inner, width: inner.width * (split - 0.02) },
          { ...inner, x: inner.x + inner.width * (split + 0.02), width: inner.width * (1 - split - 0.02) },
        ]
    return [
      ...beneath(path, row, index),
      ...wordsOf(path, item, `Row ${path}`, lead, text, { vertical: hang === undefined ? 'middle' : 'top', ...words(index) }),
    ]
  })
}

interface ColumnsLook {
  gap: number
  pad?: number
  /** px from the top of a column to its lead, and the height that leads have. */
  top: number
  lead: number
  /** The greatest width of a column. */
  most?: number
  words?: (index: number) => WordsLook
}
/** Columns side by side in the middle of an area: what `beneath` draws for each, then its lead over its text. */
export function sideBySide(
  { unit }: Sheet,
  items: readonly Item[],
  area: Frame,
  { gap, pad = 0, top, lead, most = Infinity, words = () => ({}) }: ColumnsLook,
  beneath: (path: number, column: Frame, index: number) => Place[],
): Place[] {
  const wide = Math.min(most * unit, (area.width - gap * unit * (items.length - 1)) / items.length)
  const left = area.x + (area.width - wide * items.length - gap * unit * (items.length - 1)) / 2
  return items.flatMap((item, index) => {
    const path = index + 1
    const column = { x: left + index * (wide + gap * unit), y: area.y, width: wide, height: area.height }
    const inner = { x: column.x + pad * unit, width: wide - 2 * pad * unit }
    const y = column.y + top * unit
    return [
      ...beneath(path, column, index),
      ...wordsOf(
        path,
        item,
        `Point ${path}`,
        { ...inner, y, height: lead * unit },
        { ...inner, y: y + (lead + 16) * unit, height: column.height - (top + lead + 16 + pad) * unit },
        words(index),
      ),
    ]
  })
}
