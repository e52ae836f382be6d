/**
 * Outlines: lines, Markdown, OPML and rows as slides.
 *
 * @example
 * import { readOutline } from 'core/formats/outline'
 *
 * const read = readOutline('Boats at six\n  Bring a ticket')
 * read.ok && read.value.slides.map(slide => slide.title) // → ['Boats at six']
 */
import { withQuotationMarks } from '../../phrases'
import { failed, type Outcome } from '../../values'
import { looksLikeOpml, readOpml } from './opml'
import { looksLikeRows, readRows } from './rows'
import { readText } from './text'
import type { ReadOutline } from './written'

export { writeMarkdown } from './write'
export { outlineLetterLimit, outlineLineLimit, type ReadOutline } from './written'

/** Slides with the quotation marks and apostrophes of a language in titles, lines and notes. */
function typeset({ slides, notes }: ReadOutline, language: string): ReadOutline {
  const set = (words: string) => withQuotationMarks(words, language)
  return {
    notes,
    slides: slides.map(slide => ({
      ...slide,
      title: set(slide.title),
      lines: slide.lines.map(line => ({ ...line, text: set(line.text) })),
      ...(slide.notes === undefined ? {} : { notes: set(slide.notes) }),
    })),
  }
}

/**
 * Reads an outline from text, whatever it is: OPML, rows and columns (CSV, tabs), Markdown or plain text with indents. `name` is the
 * file's, where there is one; with a `language` (BCP 47), straight quotation marks become those of it.
 */
export function readOutline(text: string, name = '', language?: string): Outcome<ReadOutline> {
  const read: Outcome<ReadOutline> =
    looksLikeOpml(text) || /\.opml$/i.test(name)
      ? readOpml(text)
      : /\.(?:csv|tsv)$/i.test(name) || looksLikeRows(text)
        ? { ok: true, value: readRows(text) }
        : { ok: true, value: readText(text) }
  if (!read.ok) return read
  return read.value.slides.some(slide => slide.title || slide.lines.length)
    ? { ok: true, value: language ? typeset(read.value, language) : read.value }
    : failed(name ? `“${name}” has no words in it. Nothing was changed.` : 'There are no words in that. Nothing was changed.')
}
