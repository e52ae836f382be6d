import svgpath from 'svgpath'
import { hexOf } from '../color'
import type { Deck, Mark, TextElement } from '../model'
import { styleOf, themeSeen, type ShownElement } from '../resolved'
import { fontOf, insetOf, layoutOfElement, leftOfLine, lettersAlong, topOfLines, type Font, type Line, type Measurer } from '../text'
import type { Ink } from './ink'
import { stretchesOf, type HandStroke } from './stroke'

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

/** The strokes of a text element, line by line and word by word, px from its top left corner. */
export function strokesOfText(deck: Deck, element: TextElement & ShownElement, ink: Ink, measurer: Measurer): HandStroke[] {
  const theme = themeSeen(deck, element.owner)
  const style = styleOf(deck, element)
  const layout = layoutOfElement(deck, element, measurer)
  const inset = insetOf(element)
  const spacing = style.letterSpacing * style.size * layout.scale
  const fontFor = (marks: readonly Mark[]) => fontOf(marks, style, theme.fonts, layout.scale)
  const colorFor = (marks: readonly Mark[]) => {
    const own = marks
      .flatMap(mark =>
        mark.type === 'color'
          ? [mark.attrs.color]
          : mark.type === 'accent' && theme.accents?.[mark.attrs.name]?.color
            ? [theme.accents[mark.attrs.name]!.color!]
            : [],
      )
      .at(-1)
    return hexOf(own ?? style.color, theme.palette)
  }
  if (element.along) {
    const align = element.align ?? (style.align === 'left' && element.along.path !== 'wave' ? 'center' : style.align)
    const size = { width: Math.max(1, element.box.width - 2 * inset), height: Math.max(1, element.box.height - 2 * inset) }
    return lettersAlong(layout, element.along, size, { style, fonts: theme.fonts, align }, measurer)
      .filter(letter => letter.text.trim())
      .flatMap(letter => {
        const font = fontFor(letter.run.marks)
        const half = measurer.width(letter.text, font) / 2
        const turn = (letter.angle * Math.PI) / 180
        const down = baselineOf(ink, [font], letter.text, 0)
        const [x, y] = [
          inset + letter.x - Math.cos(turn) * half - Math.sin(turn) * down,
          inset + letter.y - Math.sin(turn) * half + Math.cos(turn) * down,
        ]
        return wordStrokes(letter.text, x, y, { ink, font, color: colorFor(letter.run.marks), measurer }, letter.angle)
      })
  }
  const top = inset + topOfLines(element, layout)
  const ofLine = (line: Line): HandStroke[] => {
    const words = line.runs.filter(run => run.text.trim())
    if (!words.length) return []
    const sample = words[0]!.text.trim().split(/\s+/)[0]!
    const baseline =
      top +
      line.top +
      baselineOf(
        ink,
        words.map(run => fontFor(run.marks)),
        sample,
        line.height,
      )
    let x = inset + leftOfLine(element, layout, line)
    // Of a line that is written from the right, the runs stand from the right too.
    const right = x + line.width
    return line.runs.flatMap(run => {
      const font = fontFor(run.marks)
      const width = measurer.width(run.text, font) + spacing * run.text.length
      const at = line.rightToLeft ? right - (x - (right - line.width)) - width : x
      x += width
      return strokesOfWords(run.text, at, baseline, { ink, font, color: colorFor(run.marks), measurer, spacing })
    })
  }
  return layout.lines.flatMap(ofLine)
}
