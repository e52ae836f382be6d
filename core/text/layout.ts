import type { Bullet, Inline, Mark, Paragraph, TextDoc, TextStyle, Theme } from '../model'
import type { TextSetting } from '../resolved'
import { lettersOf } from '../values'
import { bulletOfParagraph, bulletWords, indentOf, lineCounter } from './bullets'
import type { Font, Measurer } from './measure'
import { breaksIn } from './syllables'
import { withSmallUnits } from './units'

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
  /** px of deck space that a quotation mark at its beginning hangs out over the side that its lines begin at, where they are balanced. */
  hang: number
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
  /** The language by whose hyphens words were parted that are wider than their line; null where none was. */
  hyphens: string | null
}

const east = '\\p{Script=Han}\\p{Script=Hiragana}\\p{Script=Katakana}'
/** Blanks at which a line may turn; those that bind (no-break, narrow no-break, figure) belong to their words. */
const blank = ' \\t\\u1680\\u2000-\\u2006\\u2008-\\u200a\\u205f\\u3000'
/** White space; one letter of a script that breaks anywhere; a word up to its hyphen. */
const tokens = new RegExp(`[${blank}]+|[${east}]|[^${blank}${east}-]*-|[^${blank}${east}-]+`, 'gu')
const beginsBlank = new RegExp(`^[${blank}]`, 'u')
const endsBlank = new RegExp(`[${blank}]+$`, 'u')
/**
 * Scripts that write words without spaces between them: a break between letters is none within a word that anybody could tell from here.
 */
const unspaced = /[\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}\p{Script=Myanmar}]/u
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

/** What is added to each letter of a font in a style, px of deck space: in proportion to the size that it is set in. */
export const spacingOf = (style: Pick<TextStyle, 'letterSpacing'>, font: Pick<Font, 'size'>) => style.letterSpacing * font.size

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

/** What lines are set with. */
interface Setting {
  style: TextSetting
  fonts: Theme['fonts']
  /** px of deck space that a line may be wide, with its indent. */
  width: number
  measurer: Measurer
  scale: number
  /** The language (BCP 47) by whose hyphens words that are wider than a line may be parted; null where they may not. */
  hyphens: string | null
}

function advance({ style, fonts, measurer, scale }: Setting, text: string, marks: readonly Mark[]): number {
  const font = fontOf(marks, style, fonts, scale)
  return measurer.width(text, font) + spacingOf(style, font) * text.length
}

/** Lines as far as they are set, and the count of what is in them. */
interface Page {
  setting: Setting
  lines: Line[]
  /** The line that is being set. */
  line: Line
  /** What its words are larger by than its style; 0 while there are none. */
  factor: number
  /** px of deck space down to the next line. */
  top: number
  paragraph: number
  word: number
  letter: number
  broken: string | null
  hyphenated: boolean
}

type LineLook = Pick<Line, 'first' | 'level' | 'bullet' | 'align' | 'rightToLeft' | 'indent'>
const noLook: LineLook = { first: true, level: 0, bullet: null, align: 'left', rightToLeft: false, indent: 0 }
const newLine = (look: LineLook, paragraph: number, index: number, top: number): Line => ({
  ...look,
  paragraph,
  index,
  column: 0,
  width: 0,
  height: 0,
  top,
  hang: 0,
  runs: [],
})

function openLine(page: Page, look: LineLook) {
  page.line = newLine(look, page.paragraph, page.lines.length, page.top)
  page.factor = 0
}

/** Quotation marks that open a line, with the narrow blank that French sets behind them; how far they hang at most, in sizes. */
const openingMark = /^(?:[“”„‟«‹‘‚"「『](?=\S)|«\u202f)/u
const mostHung = 0.7

function closeLine(page: Page) {
  const { line, setting } = page
  line.height = setting.style.lineHeight * setting.style.size * setting.scale * (page.factor || 1)
  page.top += line.height
  const last = line.runs.at(-1)
  const trailing = last && endsBlank.exec(last.text)?.[0]
  if (trailing) line.width -= advance(setting, trailing, last.marks)
  const opening = setting.style.balanced && !line.bullet ? openingMark.exec(line.runs[0]?.text ?? '')?.[0] : undefined
  if (opening) line.hang = Math.min(mostHung * setting.style.size * setting.scale, advance(setting, opening, line.runs[0]!.marks))
  page.lines.push(line)
}

/** Puts words, `wide` px of them, at the end of the line that is being set. */
function putWords(page: Page, text: string, marks: readonly Mark[], wide: number) {
  const { line, word } = page
  const last = line.runs.at(-1)
  if (last && last.marks === marks && last.word === word) last.text += text
  else line.runs.push({ text, marks, word, letter: page.letter })
  page.letter += lettersOf(text).length
  line.width += wide
  page.factor = Math.max(page.factor, factorOf(marks, page.setting.style))
}

/** Whether `wide` more px go over the room that the line has, beyond what is put first into it. */
const overflows = ({ line }: Page, wide: number, room: number) => line.width + wide > room && line.runs.length > 0

/** A piece of a stretch in one look: blanks, or as much of a word as stands in it. A line may turn before what `opens`. */
interface Piece {
  text: string
  marks: readonly Mark[]
  isSpace: boolean
  opens: boolean
  /** A word begins with it. */
  beginsWord: boolean
  /** px of deck space. */
  wide: number
}
const breaksAnywhere = new RegExp(`^[${east}]$`, 'u')

/** The pieces of a stretch between forced breaks; a word may stand in several looks, and is one all the same. */
function piecesOf({ setting }: Page, stretch: readonly Inline[]): Piece[] {
  const pieces: Piece[] = []
  for (const node of stretch) {
    if (node.type !== 'text') continue
    const marks = node.marks ?? noMarks
    const words = cased(node.text, setting.style.case).replace(/[\r\n\f\v\u2028\u2029]/g, ' ')
    for (const [text] of words.matchAll(tokens)) {
      const last = pieces.at(-1)
      const isSpace = beginsBlank.test(text)
      const beginsWord = !isSpace && (!last || last.isSpace)
      const opens = beginsWord || (!!last && (/-$/.test(last.text) || breaksAnywhere.test(text) || breaksAnywhere.test(last.text)))
      pieces.push({ text, marks, isSpace, opens, beginsWord, wide: advance(setting, text, marks) })
    }
  }
  return pieces
}

/** The letters `from` to `until` of pieces that stand together. */
function sliceOf({ setting }: Page, pieces: readonly Piece[], from: number, until: number): Piece[] {
  let at = 0
  return pieces.flatMap(piece => {
    const text = piece.text.slice(Math.max(0, from - at), Math.max(0, until - at))
    at += piece.text.length
    return text ? [{ ...piece, text, wide: advance(setting, text, piece.marks) }] : []
  })
}

/** Sets a word that is wider than a line in parts, each but the last with a hyphen at its end; false where a part has no room either. */
function setParted(page: Page, pieces: readonly Piece[], token: string, room: number, turn: () => void): boolean {
  const { measurer, hyphens } = page.setting
  const breaks = measurer.syllables && hyphens !== null ? [...breaksIn(token, hyphens, measurer.syllables), token.length] : []
  if (breaks.length < 2) return false
  const partTo = (from: number, until: number) => {
    const part = sliceOf(page, pieces, from, until)
    const last = part.at(-1)!
    if (until === token.length) return part
    const words = `${last.text}-`
    return [...part.slice(0, -1), { ...last, text: words, wide: advance(page.setting, words, last.marks) }]
  }
  const wideOf = (part: readonly Piece[]) => part.reduce((sum, { wide }) => sum + wide, 0)
  // Every part has room on a line of its own, or none is set.
  if (breaks.some((until, index) => wideOf(partTo(breaks[index - 1] ?? 0, until)) > room)) return false
  for (let from = 0; from < token.length;) {
    const left = room - page.line.width
    const until = breaks.findLast(at => at > from && wideOf(partTo(from, at)) <= left + 0.01)
    if (until === undefined) turn()
    else {
      for (const { text, marks, wide } of partTo(from, until)) putWords(page, text, marks, wide)
      if (until < token.length) turn()
      from = until
    }
  }
  page.hyphenated = true
  return true
}

/**
 * Sets what stands together without a place to turn: onto the next line where it does not fit, broken between letters where it fits on
 * none.
 */
function setTogether(page: Page, pieces: readonly Piece[], room: number, turn: () => void) {
  const wide = pieces.reduce((sum, piece) => sum + piece.wide, 0)
  // A hundredth of a px is rounding, and no reason to break a line.
  if (overflows(page, wide - 0.01, room)) turn()
  if (wide <= room) {
    for (const { text, marks, wide: own } of pieces) putWords(page, text, marks, own)
    return
  }
  const token = pieces.map(({ text }) => text).join('')
  if (setParted(page, pieces, token, room, turn)) return
  if (!unspaced.test(token)) page.broken ??= lettersOf(token).length > 1 ? token : null
  for (const { text, marks } of pieces)
    for (const letter of lettersOf(text)) {
      const step = advance(page.setting, letter, marks)
      if (overflows(page, step, room)) turn()
      putWords(page, letter, marks, step)
    }
}

/** Sets one stretch of a paragraph between forced breaks. */
function setStretch(page: Page, stretch: readonly Inline[], room: number, turn: () => void) {
  const pieces = piecesOf(page, stretch)
  for (let at = 0; at < pieces.length; at++) {
    const piece = pieces[at]!
    if (piece.isSpace) {
      if (page.line.runs.length) putWords(page, piece.text, piece.marks, piece.wide)
      continue
    }
    let until = at + 1
    while (until < pieces.length && !pieces[until]!.isSpace && !pieces[until]!.opens) until++
    if (piece.beginsWord) page.word++
    setTogether(page, pieces.slice(at, until), room, turn)
    at = until - 1
  }
}

function setParagraph(page: Page, paragraph: Paragraph, countLine: ReturnType<typeof lineCounter>) {
  const { style, scale, width } = page.setting
  const level = paragraph.attrs?.level ?? 0
  const own = bulletOfParagraph(style, paragraph)
  const number = countLine(paragraph, own)
  const bullet = own && { ...own, words: bulletWords(own, number) }
  const indent = indentOf(style, level, own) * style.size * scale
  const rightToLeft = style.direction === 'rtl' || (style.direction !== 'ltr' && runsLeft(paragraph))
  const align = paragraph.attrs?.align ?? (rightToLeft ? turned[style.align] : style.align)
  let first = true
  const open = () => {
    openLine(page, { first, level, bullet, align, rightToLeft, indent })
    first = false
  }
  const turn = () => {
    closeLine(page)
    open()
  }
  const content = paragraph.content ?? []
  for (const stretch of stretches(style.units ? withSmallUnits(content, style.units) : content)) {
    open()
    setStretch(page, stretch, Math.max(1, width - indent), turn)
    closeLine(page)
  }
}

/**
 * Breaks a text into lines no wider than `width` px of deck space, at white space, hyphens and between letters of
 * scripts that allow it; a word wider than the line is broken between letters, or where the measurer knows that it may be parted in
 * the language `hyphens`. The stage draws exactly these lines, so
 * that every output breaks alike.
 */
export function layoutText(
  doc: TextDoc,
  style: TextSetting,
  fonts: Theme['fonts'],
  width: number,
  measurer: Measurer,
  scale = 1,
  hyphens: string | null = null,
): TextLayout {
  const setting: Setting = { style, fonts, width, measurer, scale, hyphens }
  const page: Page = {
    setting,
    lines: [],
    line: newLine(noLook, 0, 0, 0),
    factor: 0,
    top: 0,
    paragraph: 0,
    word: -1,
    letter: 0,
    broken: null,
    hyphenated: false,
  }
  const countLine = lineCounter()
  doc.content.forEach((paragraph, index) => {
    if (index > 0) page.top += style.paragraphSpacing * style.size * scale
    const before = page.lines.length
    setParagraph(page, paragraph, countLine)
    if (page.lines.slice(before).some(line => line.runs.length)) page.paragraph++
  })
  const { lines, top, broken, paragraph, word, letter, hyphenated } = page
  return {
    lines,
    height: top,
    room: width,
    width: lines.reduce((most, line) => Math.max(most, line.indent + line.width), 0),
    broken,
    counts: { paragraph, line: lines.length, word: word + 1, letter },
    scale,
    hyphens: hyphenated ? hyphens : null,
  }
}

const noMarks: readonly Mark[] = []
