import Papa from 'papaparse'
import { drafting, type ReadOutline } from './written'

const heads = /^(?:title|slide|heading|headline|titel|folie|überschrift|titre|diapositive)$/i
const noteHeads = /^(?:notes?|speaker notes|notizen?|remarques?)$/i
const chapterHeads = /^(?:chapters?|sections?|kapitel|abschnitt|chapitre|partie)$/i

/** Whether text is rows and columns: two lines or more, parted alike by tabs, semicolons or commas, none of them indented. */
export function looksLikeRows(text: string): boolean {
  const lines = text
    .replace(/^\ufeff/, '')
    .split(/\r\n|\r|\n/)
    .filter(line => line.trim())
    .slice(0, 40)
  if (lines.length < 2 || lines.some(line => /^[ \t]/.test(line))) return false
  const parted = (separator: string) => {
    const counts = lines.map(line => line.split(separator).length)
    return counts[0]! > 1 && counts.every(count => count === counts[0])
  }
  if (parted('\t')) return true
  return (parted(';') || parted(',')) && heads.test(lines[0]!.split(/[;,]/)[0]!.replace(/"/g, '').trim())
}

/**
 * Reads rows as an outline: each is a slide, its first cell the title and the others lines. A first row that names its
 * columns (title, notes, chapter) is not a slide, and what else it names stands before its cells.
 */
export function readRows(text: string): ReadOutline {
  const rows = Papa.parse<string[]>(text.replace(/^\ufeff/, ''), { skipEmptyLines: 'greedy' }).data.filter(row =>
    row.some(cell => cell.trim()),
  )
  const first = rows[0] ?? []
  const named = first.some(cell => heads.test(cell.trim()) || noteHeads.test(cell.trim()) || chapterHeads.test(cell.trim()))
  const columns = named ? first.map(cell => cell.trim()) : []
  const titleAt = Math.max(
    0,
    columns.findIndex(name => heads.test(name)),
  )
  const draft = drafting()
  let chapter = ''
  for (const row of named ? rows.slice(1) : rows) {
    const notes = row.filter((cell, at) => noteHeads.test(columns[at] ?? '') && cell.trim()).join('\n')
    const own = row.find((cell, at) => chapterHeads.test(columns[at] ?? '') && cell.trim())?.trim() ?? ''
    draft.slide(row[titleAt] ?? '', { ...(notes ? { notes } : {}), ...(own && own !== chapter ? { chapter: own } : {}) })
    if (own) chapter = own
    row.forEach((cell, at) => {
      const name = columns[at] ?? ''
      if (at === titleAt || !cell.trim() || noteHeads.test(name) || chapterHeads.test(name)) return
      const plain = !name || /^(?:lines?|points?|text|bullets?|zeile|punkt|ligne|\d+)\s*\d*$/i.test(name)
      for (const line of cell.split(/\r?\n/)) if (line.trim()) draft.line(plain ? line : `${name}: ${line}`, 1)
    })
  }
  return draft.read()
}
