import type { Bullet, Inline, Mark, Paragraph, TextDoc, TextStyle, Theme } from '../model'
import type { TextSetting } from '../resolved'
import { bulletOfParagraph, bulletWords, indentOf, lineCounter } from './bullets'
import type { Font, Measurer } from './measure'

/** What parts of a text can be told apart. */
export type TextPart = 'paragraph' | 'line' | 'word' | 'letter'

/** A stretch of text in one look, and the index of each kind of part that it belongs to. */
export interface Run {
  text: string
  marks: readonly Mark[]
  word: number
  /** Index of the run's first letter among the text's letters. */
  letter: number
}

export interface Line {
  /** Index among the paragraphs that hold words. */
  paragraph: number
  index: number
  /** Whether the line opens its paragraph, and so carries its bullet. */
  first: boolean
  level: number
  /** What stands before its words: its look, and the words of it, empty where it is an icon or a picture. */
  bullet: (Bullet & { words: string }) | null
  /** As chosen; of text written from right to left, left and right have changed places. */
  align: 'left' | 'center' | 'right'
  /** Whether its paragraph is written from right to left; its indent and bullet then stand at the right. */
  rightToLeft: boolean
  /** px of deck space from the left edge of its column. */
  indent: number
  /** px of deck space from the text's left edge to that of its column. */
  column: number
  width: number
  height: number
  /** px of deck space from the text's top. */
  top: number
  runs: Run[]
}

export interface TextLayout {
  lines: Line[]
  /** px of deck space. */
  height: number
  /** The widest line with its indent. */
  width: number
  /** What a line may be wide, px of deck space: the width of a column. */
  room: number
  counts: Readonly<Record<TextPart, number>>
  /** The first word that is wider than its line and is broken in its midst; null where none is. */
  broken: string | null
  /** The scale the text was set at, 1 for its style's own size. */
  scale: number
}

const east = '\\p{Script=Han}\\p{Script=Hiragana}\\p{Script=Katakana}'
/** White space; one letter of a script that breaks anywhere; a word up to its hyphen. */
const tokens = new RegExp(`[ \\t]+|[${east}]|[^\\s${east}-]*-|[^\\s${east}-]+`, 'gu')
/**
 * Scripts that write words without spaces between them: a break between letters is none within a word that anybody could tell from here.
 */
const unspaced = /[\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u
const graphemes = new Intl.Segmenter('und', { granularity: 'grapheme' })

/** The letters of a text as a reader counts them. */
export const lettersOf = (text: string) => Array.from(graphemes.segment(text), part => part.segment)

const turned = { left: 'right', center: 'center', right: 'left' } as const

/** Whether the first letter of a paragraph that has a direction runs to the left. */
function runsLeft(paragraph: Paragraph): boolean {
  for (const node of paragraph.content ?? []) {
    const strong = node.type === 'text' ? /\p{L}/u.exec(node.text)?.[0] : undefined
    if (strong) return /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u.test(strong)
  }
  return false
}

const cased = (text: string, way: TextStyle['case']) =>
  way === 'upper' ? text.toLocaleUpperCase() : way === 'lower' ? text.toLocaleLowerCase() : text

/** The font that a run is set in. */
export function fontOf(marks: readonly Mark[], style: TextSetting, fonts: Theme['fonts'], scale: number): Font {
  let factor = 1
  let family = style.family ?? fonts[style.font]
  let weight = style.weight
  let italic = style.italic ?? false
  for (const mark of marks) {
    if (mark.type === 'size') factor *= mark.attrs.factor
    else if (mark.type === 'accent') {
      const accent = style.accents?.[mark.attrs.name]
      factor *= accent?.size ?? 1
      weight = accent?.weight ?? weight
      italic = accent?.italic ?? italic
    } else if (mark.type === 'font') family = mark.attrs.family
    else if (mark.type === 'bold') weight = Math.max(700, style.weight)
    else if (mark.type === 'italic') italic = true
  }
  return { family, size: style.size * factor * scale, weight, italic }
}

const factorOf = (marks: readonly Mark[], style: TextSetting) =>
  marks.reduce(
    (factor, mark) =>
      factor * (mark.type === 'size' ? mark.attrs.factor : mark.type === 'accent' ? (style.accents?.[mark.attrs.name]?.size ?? 1) : 1),
    1,
  )

/** The inline nodes of a paragraph, parted at forced breaks. */
function stretches(content: readonly Inline[]): Inline[][] {
  const made: Inline[][] = [[]]
  for (const node of content) {
    if (node.type === 'break') made.push([])
    else made.at(-1)!.push(node)
  }
  return made
}

/**
 * Breaks a text into lines no wider than `width` px of deck space, at white space, hyphens and between letters of
 * scripts that allow it; a word wider than the line is broken between letters. The stage draws exactly these lines, so
 * that every output breaks alike.
 */
export function layoutText(
  doc: TextDoc,
  style: TextSetting,
  fonts: Theme['fonts'],
  width: number,
  measurer: Measurer,
  scale = 1,
): TextLayout {
  const lines: Line[] = []
  const spacing = style.letterSpacing * style.size * scale
  let paragraphIndex = 0
  let word = -1
  let letter = 0
  let broken: string | null = null
  let top = 0
  const countLine = lineCounter()

  const setParagraph = (paragraph: Paragraph) => {
    const level = paragraph.attrs?.level ?? 0
    const bullet = bulletOfParagraph(style, paragraph)
    const before = bullet && { ...bullet, words: bulletWords(bullet, countLine(paragraph, bullet)) }
    if (!bullet) countLine(paragraph, null)
    const indent = indentOf(style, level, bullet) * style.size * scale
    const room = Math.max(1, width - indent)
    const rightToLeft = style.direction === 'rtl' || (style.direction !== 'ltr' && runsLeft(paragraph))
    let first = true
    let line: Line
    let factor = 1
    const open = () => {
      line = {
        paragraph: paragraphIndex,
        index: lines.length,
        first,
        level,
        bullet: before,
        align: paragraph.attrs?.align ?? (rightToLeft ? turned[style.align] : style.align),
        rightToLeft,
        indent,
        column: 0,
        width: 0,
        height: 0,
        top,
        runs: [],
      }
      first = false
      factor = 0
    }
    const close = () => {
      line.height = style.lineHeight * style.size * scale * (factor || 1)
      top += line.height
      const last = line.runs.at(-1)
      const trailing = last && /[ \t]+$/.exec(last.text)?.[0]
      if (trailing) line.width -= advance(trailing, last.marks)
      lines.push(line)
    }
    const advance = (text: string, marks: readonly Mark[]) =>
      measurer.width(text, fontOf(marks, style, fonts, scale)) + spacing * text.length
    const put = (text: string, marks: readonly Mark[], wide: number) => {
      const last = line.runs.at(-1)
      if (last && last.marks === marks && last.word === word) last.text += text
      else line.runs.push({ text, marks, word, letter })
      letter += lettersOf(text).length
      line.width += wide
      factor = Math.max(factor, factorOf(marks, style))
    }
    for (const stretch of stretches(paragraph.content ?? [])) {
      open()
      let afterSpace = true
      for (const node of stretch) {
        if (node.type !== 'text') continue
        const marks = node.marks ?? noMarks
        for (const [token] of cased(node.text, style.case)
          .replace(/[\r\n\f\v\u2028\u2029]/g, ' ')
          .matchAll(tokens)) {
          const space = /^[ \t]/.test(token)
          const wide = advance(token, marks)
          if (space) {
            afterSpace = true
            if (line!.runs.length) put(token, marks, wide)
            continue
          }
          if (afterSpace) word++
          afterSpace = false
          if (line!.width + wide > room + 0.01 && line!.runs.length) {
            close()
            open()
          }
          if (wide <= room) {
            put(token, marks, wide)
            continue
          }
          if (!unspaced.test(token)) broken ??= lettersOf(token).length > 1 ? token : null
          for (const piece of lettersOf(token)) {
            const step = advance(piece, marks)
            if (line!.width + step > room && line!.runs.length) {
              close()
              open()
            }
            put(piece, marks, step)
          }
        }
      }
      close()
    }
  }

  doc.content.forEach((paragraph, index) => {
    if (index > 0) top += style.paragraphSpacing * style.size * scale
    const before = lines.length
    setParagraph(paragraph)
    const hasWords = lines.slice(before).some(line => line.runs.length)
    if (hasWords) paragraphIndex++
  })
  return {
    lines,
    height: top,
    room: width,
    width: lines.reduce((most, line) => Math.max(most, line.indent + line.width), 0),
    broken,
    counts: { paragraph: paragraphIndex, line: lines.length, word: word + 1, letter },
    scale,
  }
}

const noMarks: readonly Mark[] = []
