/**
 * What was pasted: words, a list, a range of cells, a drawing.
 *
 * @example
 * import { readPasted } from 'core/formats/pasted'
 *
 * readPasted('Boats at six').is // → 'words'
 * readPasted('route\tcars\nAstrel\t120').is // → 'range'
 */

import { readCsv, type TableReading } from '../../data'
import { mostWritten, textOf, type TextDoc } from '../../model'
import type { Outcome } from '../../values'

/** The most lines that a text on a slide takes from what was pasted. */
export const mostPastedLines = 2000

/** What came over the clipboard as text, once somebody has looked at it. */
export type Pasted =
  | { readonly is: 'nothing' }
  /** Source of an SVG. */
  | { readonly is: 'drawing'; readonly source: string }
  /** Cells, parted by tabs, a row a line. */
  | { readonly is: 'range'; readonly rows: string }
  /** Lines that were a list where they come from: levels from 1 to 9. */
  | { readonly is: 'list'; readonly text: TextDoc }
  | { readonly is: 'words'; readonly text: TextDoc }
  /** More lines than one text takes. */
  | { readonly is: 'too long'; readonly lines: number }

/** A sign or a number before a line makes it one of a list. */
const listed = /^\s*(?:[-*+•‣–▪◦]|\d{1,3}[.)])\s+/
const drawing = /^\s*(?:<\?xml[^>]*>\s*)?(?:<!--[\s\S]*?-->\s*)*<svg[\s>]/i

/** How far a line is indented, a tab as four spaces. */
const depthOf = (line: string) => /^[ \t]*/.exec(line)![0].replaceAll('\t', '    ').length

/** Rows and columns: more than one line, each of as many cells, and no indent that a tab could be. */
function isRange(lines: readonly string[]): boolean {
  const cells = lines.map(line => line.split('\t').length)
  return lines.length > 1 && cells[0]! > 1 && cells.every(count => count === cells[0]) && !/^[\t ]/.test(lines[0]!)
}

/** Two lines with a sign or number, or one that stands further in than another, make a list: what was meant has levels. */
const hasLevels = (lines: readonly string[]) =>
  lines.filter(line => listed.test(line)).length > 1 ||
  (lines.length > 1 && lines.some(line => depthOf(line) >= 4 && depthOf(line) > depthOf(lines[0]!)))

/** Lines with their levels: how far each stands in, one deeper at a time; those without a sign at the very left are no items. */
function levelled(lines: readonly string[]): { text: string; level: number }[] {
  const least = Math.min(...lines.map(depthOf))
  let depths: number[] = []
  return lines.map(line => {
    const [depth, isItem] = [depthOf(line) - least, listed.test(line)]
    const text = line.trimStart().replace(listed, '').trim()
    if (!isItem && depth === 0) {
      depths = []
      return { text, level: 0 }
    }
    while (depths.length && depths.at(-1)! >= depth) depths.pop()
    depths.push(depth)
    return { text, level: Math.min(9, depths.length) }
  })
}

/**
 * What plain text is that was pasted: the source of a drawing, a range of cells, a list, or words.
 *
 * @example
 * readPasted('1. Astrel\n2. Quill') // { is: 'list', text: … }
 */
export function readPasted(plain: string): Pasted {
  if (drawing.test(plain)) return { is: 'drawing', source: plain }
  const lines = plain
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .filter(line => line.trim())
  if (!lines.length) return { is: 'nothing' }
  if (isRange(lines)) return { is: 'range', rows: lines.join('\n') }
  if (lines.length > mostPastedLines) return { is: 'too long', lines: lines.length }
  if (!hasLevels(lines)) return { is: 'words', text: textOf(lines.map(line => line.trim())) }
  const items = levelled(lines)
  return { is: items.every(item => item.level > 0) ? 'list' : 'words', text: textOf(items) }
}

/** What text with its marks is, as a page or a word processor gave it: lines without words are left out. */
export function readPastedText(text: TextDoc): Pasted {
  const content = text.content.filter(paragraph => paragraph.content?.length)
  if (!content.length) return { is: 'nothing' }
  if (content.length > mostPastedLines) return { is: 'too long', lines: content.length }
  const isList = content.length > 1 && content.every(paragraph => (paragraph.attrs?.level ?? 0) > 0)
  return { is: isList ? 'list' : 'words', text: { type: 'doc', content } }
}

/** The text for a diagram, whose lines all have a level: 1 at least. */
export const withLevels = (text: TextDoc): TextDoc => ({
  ...text,
  content: text.content.map(paragraph => ({
    ...paragraph,
    attrs: { ...paragraph.attrs, level: Math.max(1, paragraph.attrs?.level ?? 1) },
  })),
})

/** A range of cells that was pasted. */
export interface PastedRange {
  cells: string[][]
  /** Of the widest row. */
  columns: number
  /** Whether it is small enough to be written in cell by cell. */
  canBeWritten: boolean
  /** The same as data, with typed columns; a sentence where it is none. */
  data: Outcome<TableReading>
}

/** @param rows cells parted by tabs, a row a line; lines without a word are left out of what is written */
export function readPastedRange(rows: string): PastedRange {
  const cells = rows
    .split(/\r?\n/)
    .filter(line => line.trim())
    .map(line => line.split('\t'))
  const columns = Math.max(...cells.map(row => row.length))
  return {
    cells,
    columns,
    canBeWritten: cells.length <= mostWritten.rows && columns <= mostWritten.columns,
    data: readCsv(new TextEncoder().encode(rows), 'Pasted', 'pasted'),
  }
}
