/**
 * Outlines: lines, Markdown, OPML and rows as slides.
 *
 * @example
 * import { readOutline } from 'core/formats/outline'
 *
 * const read = readOutline('Boats at six\n  Bring a ticket')
 * read.ok && read.value.slides.map(slide => slide.title) // → ['Boats at six']
 */
import { failed, type Outcome } from '../../values'
import { looksLikeOpml, readOpml } from './opml'
import { looksLikeRows, readRows } from './rows'
import { readText } from './text'
import type { ReadOutline } from './written'

export { writeMarkdown } from './write'
export { outlineLetterLimit, outlineLineLimit, type ReadOutline } from './written'

/**
 * Reads an outline from text, whatever it is: OPML, rows and columns (CSV, tabs), Markdown or plain text with indents. `name` is the
 * file's, where there is one.
 */
export function readOutline(text: string, name = ''): Outcome<ReadOutline> {
  const read: Outcome<ReadOutline> =
    looksLikeOpml(text) || /\.opml$/i.test(name)
      ? readOpml(text)
      : /\.(?:csv|tsv)$/i.test(name) || looksLikeRows(text)
        ? { ok: true, value: readRows(text) }
        : { ok: true, value: readText(text) }
  if (!read.ok) return read
  return read.value.slides.some(slide => slide.title || slide.lines.length)
    ? read
    : failed(name ? `“${name}” has no words in it. Nothing was changed.` : 'There are no words in that. Nothing was changed.')
}
