import { drafting, type ReadOutline } from './written'

const bullet = /^(?:[-*+•‣–·▪◦]|\d{1,3}[.)]|\[[ xX]\])\s+/
const marks = [
  /\*\*(.+?)\*\*/g,
  /__(.+?)__/g,
  /(?<![\w*])\*(?!\s)(.+?)(?<!\s)\*(?![\w*])/g,
  /(?<![\w_])_(?!\s)(.+?)(?<!\s)_(?![\w_])/g,
  /`(.+?)`/g,
  /~~(.+?)~~/g,
]

/** Words without Markdown's marks: bold, italic, code, strike, links by their words. */
export const withoutMarks = (text: string) =>
  marks.reduce((words, mark) => words.replace(mark, '$1'), text.replace(/!?\[([^\]]*)\]\([^)]*\)/g, '$1'))

interface Written {
  depth: number
  text: string
  /** 1 to 6 under `#`, 0 for other lines. */
  heading: number
  quoted: boolean
  /** It stood after a number. */
  numbered?: boolean
}

/** A line with the depth that its white space means; a tab counts as four blanks. */
function writtenLine(line: string): Written | null {
  const space = /^[ \t\u00a0\u3000]*/.exec(line)![0]
  const depth = space.replaceAll('\t', '    ').length
  const rest = line.slice(space.length).trim()
  if (!rest || /^(?:-{3,}|\*{3,}|_{3,}|={3,})$/.test(rest)) return null
  const heading = /^(#{1,6})\s+/.exec(rest)
  if (heading) return { depth: 0, text: rest.slice(heading[0].length).replace(/\s+#+$/, ''), heading: heading[1]!.length, quoted: false }
  if (/^>\s?/.test(rest)) return { depth, text: rest.replace(/^(?:>\s?)+/, ''), heading: 0, quoted: true }
  const mark = bullet.exec(rest)
  const text = mark ? rest.slice(mark[0].length).replace(/^\[[ xX]\]\s+/, '') : rest
  return { depth: depth + (mark ? 1 : 0), text, heading: 0, quoted: false, numbered: mark !== null && /^\d/.test(mark[0]) }
}

/** Joins Markdown's underlined headings to the form with `#`; leaves out what stands between front matter's dashes. */
function plainLines(text: string): string[] {
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\r|\n/)
  if (/^---\s*$/.test(lines[0] ?? '')) {
    const end = lines.findIndex((line, index) => index > 0 && /^---\s*$/.test(line))
    if (end > 0 && end < 60 && lines.slice(1, end).every(line => !line.trim() || /^[\w-]+:|^\s|^-\s/.test(line))) lines.splice(0, end + 1)
  }
  return lines.flatMap((line, index) => {
    const next = lines[index + 1] ?? ''
    if (line.trim() && !/^\s/.test(line) && /^(?:={3,}|-{3,})\s*$/.test(next) && !bullet.test(line))
      return [`${next.startsWith('=') ? '#' : '##'} ${line.trim()}`]
    return [line]
  })
}

/**
 * Reads plain or Markdown text as an outline. What is not indented is a slide; what is indented, or carries a bullet or
 * number under a line that does not, stands on it; deeper indents are deeper levels. Under headings every other line
 * stands on the slide of its heading; where several headings of the first rank stand over more of the second they open
 * chapters. Quoted lines
 * (`>`) under a slide are its notes.
 */
export function readText(text: string): ReadOutline {
  const lines = plainLines(text)
    .map(writtenLine)
    .filter(line => line !== null)
  const headings = lines.filter(line => line.heading)
  const ranks = [...new Set(headings.map(line => line.heading))].sort()
  const countOf = (rank: number | undefined) => headings.filter(line => line.heading === rank).length
  const chapters = countOf(ranks[0]) > 1 && countOf(ranks[1]) > countOf(ranks[0]) ? ranks[0] : 0
  const slideRank = chapters || countOf(ranks[0]) === 1 ? (ranks[1] ?? ranks[0]!) : (ranks[0] ?? 0)
  const marked = headings.length > 0
  const draft = drafting()
  const least = marked ? -1 : lines.reduce((low, line) => Math.min(low, line.depth), Infinity)
  let depths: number[] = []
  let chapter: string | undefined
  let under = 0
  for (const line of lines) {
    const words = marked || line.quoted ? withoutMarks(line.text) : line.text
    if (chapters && line.heading === chapters) {
      chapter = words
      continue
    }
    const last = draft.last()
    if (line.quoted && last) {
      last.notes = last.notes ? `${last.notes}\n${words}` : words
    } else if ((line.heading && line.heading <= slideRank) || (!marked && line.depth <= least) || !last) {
      draft.slide(words, chapter === undefined ? {} : { chapter })
      chapter = undefined
      depths = []
      under = 0
    } else if (line.heading) {
      draft.line(words, line.heading - slideRank)
      under = line.heading - slideRank
      depths = []
    } else {
      while (depths.length && depths.at(-1)! >= line.depth) depths.pop()
      depths.push(line.depth)
      draft.line(words, under + depths.length, line.numbered)
    }
  }
  return draft.read()
}
