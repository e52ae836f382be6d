import type { OutlineSlide } from '../../layouts'

/** The most lines that are taken at once. */
export const outlineLineLimit = 5000

const bullet = /^(?:[-*+•‣–·]|\d{1,3}[.)])\s+/

interface Written {
  depth: number
  text: string
  heading: boolean
}

/** A line with the depth that its white space means; a tab counts as four blanks. */
function writtenLine(line: string): Written | null {
  const space = /^[ \t\u00a0]*/.exec(line)![0]
  const depth = space.replaceAll('\t', '    ').length
  const rest = line.slice(space.length).trim()
  if (!rest) return null
  const heading = /^#{1,6}\s+/.exec(rest)
  if (heading) return { depth: 0, text: rest.slice(heading[0].length).replace(/\s+#+$/, ''), heading: true }
  const mark = bullet.exec(rest)
  return { depth: depth + (mark ? 1 : 0), text: mark ? rest.slice(mark[0].length) : rest, heading: false }
}

/**
 * Reads lines of text as an outline: what is not indented is a slide, what is indented, or carries a bullet or number
 * under a line that does not, stands on it; deeper indents are deeper levels. Under Markdown headings every other line
 * stands on the slide of its heading.
 */
export function readOutline(text: string): OutlineSlide[] {
  const lines = text.replace(/^\ufeff/, '').split(/\r\n|\r|\n/).map(writtenLine).filter(line => line !== null).slice(0, outlineLineLimit)
  const headings = lines.some(line => line.heading)
  const least = headings ? -1 : lines.reduce((low, line) => Math.min(low, line.depth), Infinity)
  const slides: { title: string, lines: { text: string, level: number }[] }[] = []
  let depths: number[] = []
  for (const line of lines) {
    const words = line.text.slice(0, 10_000)
    if (line.heading || (!headings && line.depth <= least) || !slides.length) {
      slides.push({ title: words, lines: [] })
      depths = []
      continue
    }
    while (depths.length && depths.at(-1)! >= line.depth) depths.pop()
    depths.push(line.depth)
    slides.at(-1)!.lines.push({ text: words, level: Math.min(9, depths.length) })
  }
  return slides
}
