import type { Deck, Slide, TextElement } from '../model'
import { themeOf, styleOf, type ShownElement } from '../resolved'
import type { Color } from '../values'
import { centerOf, turn, type Bounds } from '../place'
import { fontOf, insetOf, layoutOfElement, leftOfLine, topOfLines, type Measurer, type Run } from '../text'
import { rgbaOf, type Rgba } from './beneath'

/** A stretch of words in one look. */
export interface Words {
  text: string
  /** px of the text's own box, before it is turned. */
  place: { x: number; y: number; width: number; height: number }
  color: Rgba
  /** What marks it, right behind it. */
  marking: Rgba | null
  /** Size in px of deck space, and weight: large words need less. */
  size: number
  weight: number
}

/** Where the words of a text stand, each stretch in its own colour. Those that are filled with more than a colour are left out. */
export function wordsOf(deck: Deck, slide: Slide, element: TextElement & ShownElement, measurer: Measurer): Words[] {
  const theme = themeOf(deck, slide)
  const style = styleOf(deck, element)
  const layout = layoutOfElement(deck, element, measurer)
  const [inset, top] = [insetOf(element), topOfLines(element, layout)]
  const look = (run: Run) => {
    let color: Color | null = element.paint && 'kind' in element.paint ? null : style.color
    let marking: Color | null = null
    for (const mark of run.marks) {
      if (mark.type === 'accent') {
        const accent = theme.accents?.[mark.attrs.name]
        if (accent?.color) color = accent.color
        if (accent?.highlight) marking = accent.highlight
      } else if (mark.type === 'color') color = mark.attrs.color
      else if (mark.type === 'highlight') marking = mark.attrs.color
      else if (mark.type === 'link') color = { role: 'link' }
    }
    return { color, marking }
  }
  return layout.lines.flatMap(line => {
    let x = inset + leftOfLine(element, layout, line)
    return line.runs.flatMap((run): Words[] => {
      const font = fontOf(run.marks, style, theme.fonts, layout.scale)
      const across = (text: string) =>
        text ? measurer.width(text, font) + style.letterSpacing * style.size * layout.scale * text.length : 0
      // Spaces around it show nothing, and may reach beyond the line.
      const from = x + across(/^\s*/.exec(run.text)![0])
      const width = across(run.text.trim())
      x += across(run.text)
      const { color, marking } = look(run)
      if (!color || !run.text.trim()) return []
      const place = element.along
        ? { x: 0, y: 0, width: element.box.width, height: element.box.height }
        : { x: from, y: inset + top + line.top, width, height: line.height }
      return [
        {
          text: run.text.trim(),
          place,
          color: rgbaOf(color, theme.palette),
          marking: marking && rgbaOf(marking, theme.palette),
          size: font.size,
          weight: font.weight,
        },
      ]
    })
  })
}

/**
 * Where a text's words are seen on the slide, px: less than its box, which may be wide and hold little. Null where it has none, or is
 * filled with more than a colour.
 */
export function boundsOfWords(deck: Deck, slide: Slide, element: TextElement & ShownElement, measurer: Measurer): Bounds | null {
  const corners = wordsOf(deck, slide, element, measurer).flatMap(({ place: { x, y, width, height } }) =>
    [
      [x, y],
      [x + width, y],
      [x, y + height],
      [x + width, y + height],
    ].map(([u, v]) => onSlide(element, u!, v!)),
  )
  if (!corners.length) return null
  const [xs, ys] = [corners.map(corner => corner.x), corners.map(corner => corner.y)]
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) }
}

/** A place within a text's box as one on the slide. */
export const onSlide = (element: ShownElement, x: number, y: number) =>
  turn({ x: element.box.x + x, y: element.box.y + y }, centerOf(element.box), element.box.angle)
