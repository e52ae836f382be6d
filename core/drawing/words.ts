import svgpath from 'svgpath'
import { hexOf } from '../color'
import type { Deck, Mark, TextElement, TextStyle, Theme } from '../model'
import { styleOf, themeSeen, type ShownElement } from '../resolved'
import {
  type Fitted,
  fontOf,
  spacingOf,
  insetOf,
  layoutOfElement,
  leftOfLine,
  lettersAlong,
  topOfLines,
  type Font,
  type Line,
  type Measurer,
} from '../text'
import type { Ink } from './ink'
import { stretchesOf } from '../shapes'
import type { HandStroke } from './stroke'

/** Lines of letters are so thick, as a share of their size, and at least so many px. */
const thickness = { share: 0.028, least: 1.5 }
const widthFor = (size: number) => Math.max(thickness.least, size * thickness.share)

interface Writing {
  ink: Ink
  font: Font
  color: string
  measurer: Measurer
  /** px between letters beyond the font's own. */ spacing?: number
}

/** The strokes of one word whose first letter stands at a place on the baseline, turned about that place by degrees clockwise. */
function wordStrokes(text: string, x: number, baseline: number, { ink, font, color }: Writing, angle = 0): HandStroke[] {
  const known = ink.word(text, font)
  if (!known) return []
  return known.glyphs.flatMap(glyph =>
    stretchesOf(
      svgpath(glyph)
        .scale(font.size / 1000)
        .rotate(angle)
        .translate(x, baseline)
        .round(2)
        .toString(),
    ).map(d => ({ d, color, width: widthFor(font.size) })),
  )
}

/** The strokes of a stretch of words that begins at a place on the baseline, px. */
export function strokesOfWords(text: string, x: number, baseline: number, writing: Writing): HandStroke[] {
  const { font, measurer, spacing = 0 } = writing
  // Letters that are spread stand each for itself.
  return [...text.matchAll(spacing ? /\S/gu : /\S+/gu)].flatMap(({ 0: word, index }) =>
    wordStrokes(
      word,
      x + measurer.width(text.slice(0, index), font) + spacing * Array.from(text.slice(0, index)).length,
      baseline,
      writing,
    ),
  )
}

/** How far below the top of a line of a height its baseline lies, px: each font's own middle stands in the middle of the line. */
export function baselineOf(ink: Ink, fonts: readonly Font[], sample: string, height: number): number {
  return Math.max(
    ...fonts.map(font => {
      const known = ink.word(sample, font)
      return height / 2 + (known ? ((known.ascent - known.descent) / 2000) * font.size : font.size * 0.33)
    }),
  )
}

/** A text element as it is written: how it is laid out, and in which font and colour its stretches stand. */
interface Setting {
  element: TextElement & ShownElement
  style: TextStyle
  theme: Theme
  layout: Fitted
  inset: number
  ink: Ink
  measurer: Measurer
  fontFor(marks: readonly Mark[]): Font
  colorFor(marks: readonly Mark[]): string
}

function settingOf(deck: Deck, element: TextElement & ShownElement, ink: Ink, measurer: Measurer): Setting {
  const theme = themeSeen(deck, element.owner)
  const style = styleOf(deck, element)
  const layout = layoutOfElement(deck, element, measurer)
  const ownColor = (mark: Mark) => {
    if (mark.type === 'color') return mark.attrs.color
    return mark.type === 'accent' ? theme.accents?.[mark.attrs.name]?.color : undefined
  }
  return {
    element,
    style,
    theme,
    layout,
    inset: insetOf(element),
    ink,
    measurer,
    fontFor: marks => fontOf(marks, style, theme.fonts, layout.scale),
    colorFor: marks => hexOf(marks.map(ownColor).findLast(color => color !== undefined) ?? style.color, theme.palette),
  }
}

/** Letters along a way, each turned with it. */
function strokesAlong(setting: Setting, along: NonNullable<TextElement['along']>): HandStroke[] {
  const { element, style, theme, layout, inset, ink, measurer } = setting
  const align = element.align ?? (style.align === 'left' && along.path !== 'wave' ? 'center' : style.align)
  const size = { width: Math.max(1, element.box.width - 2 * inset), height: Math.max(1, element.box.height - 2 * inset) }
  return lettersAlong(layout, along, size, { style, fonts: theme.fonts, align }, measurer)
    .filter(letter => letter.text.trim())
    .flatMap(letter => {
      const font = setting.fontFor(letter.run.marks)
      const half = measurer.width(letter.text, font) / 2
      const turn = (letter.angle * Math.PI) / 180
      const down = baselineOf(ink, [font], letter.text, 0)
      const x = inset + letter.x - Math.cos(turn) * half - Math.sin(turn) * down
      const y = inset + letter.y - Math.sin(turn) * half + Math.cos(turn) * down
      return wordStrokes(letter.text, x, y, { ink, font, color: setting.colorFor(letter.run.marks), measurer }, letter.angle)
    })
}

/** A line, whose top is `top` px below the element's. */
function strokesOfLine(setting: Setting, line: Line, top: number): HandStroke[] {
  const { element, style, layout, ink, measurer } = setting
  const words = line.runs.filter(run => run.text.trim())
  const sample = words[0]?.text.trim().split(/\s+/)[0]
  if (sample === undefined) return []
  const fonts = words.map(run => setting.fontFor(run.marks))
  const baseline = top + baselineOf(ink, fonts, sample, line.height)
  let x = setting.inset + leftOfLine(element, layout, line)
  // Of a line that is written from the right, the runs stand from the right too.
  const right = x + line.width
  return line.runs.flatMap(run => {
    const font = setting.fontFor(run.marks)
    const spacing = spacingOf(style, font)
    const width = measurer.width(run.text, font) + spacing * run.text.length
    const at = line.rightToLeft ? right - (x - (right - line.width)) - width : x
    x += width
    return strokesOfWords(run.text, at, baseline, { ink, font, color: setting.colorFor(run.marks), measurer, spacing })
  })
}

/** The strokes of a text element, line by line and word by word, px from its top left corner. */
export function strokesOfText(deck: Deck, element: TextElement & ShownElement, ink: Ink, measurer: Measurer): HandStroke[] {
  const setting = settingOf(deck, element, ink, measurer)
  if (element.along) return strokesAlong(setting, element.along)
  const top = setting.inset + topOfLines(element, setting.layout)
  return setting.layout.lines.flatMap(line => strokesOfLine(setting, line, top + line.top))
}
