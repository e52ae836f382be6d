import { infoOf, setRecord, elementsOf, type Change, type Deck, type TextDoc, type TextElement, type Slide } from '../model'
import { shownElement, shownElements, styleOf, themeUnder, type ShownElement, type TextSetting } from '../resolved'
import { memoByRecords, type Id } from '../values'
import { tidyBox } from '../place'
import { roomInset } from '../shapes'
import { balanced, fitText, setText, type Fitted, type TextRoom } from './fit'
import type { Line } from './layout'
import type { Measurer } from './measure'

interface Known {
  style: TextSetting
  fonts: unknown
  width: number
  height: number
  columns: TextElement['columns']
  fit: string
  most: number
  measurer: Measurer
  language: string
  layout: Fitted
}

const known = new WeakMap<TextDoc, Known>()

/** The inner size of a text's box, inside its panel's padding and border, px of deck space. Words along a line have room without end. */
export function textRoom(element: TextElement & ShownElement): TextRoom {
  const around = 2 * insetOf(element)
  return {
    width: element.along ? 1e6 : Math.max(1, element.box.width - around),
    height: element.along ? 1e6 : Math.max(1, element.box.height - around),
    columns: element.columns,
  }
}

/** How far words stand in from the edge of their box, px of deck space: within the shape of their panel, its padding and border. */
export function insetOf({ panel, box }: TextElement): number {
  if (!panel) return 0
  const within = panel.shape && box ? roomInset(panel, box.width, box.height) : 0
  return within + panel.padding + (panel.border?.width ?? 0)
}

/** Texts of a slide that are matched side by side. */
const keptMatches = 40

/** The scale that the texts of a slide with the same `match` come to together: that of the one that shrinks most. */
const scaleOfMatch = memoByRecords(
  (deck: Deck, slide: Slide, match: string, measurer: Measurer) => {
    const [own, kept] = [elementsOf(deck, slide.id), elementsOf(deck, slide.layout)]
    return [own, match, kept, themeUnder(deck, slide.id), deck.info.info, slide, measurer]
  },
  (deck, slide, match, measurer): number => {
    const { fonts } = themeUnder(deck, slide.id)
    return shownElements(deck, slide.id, true).reduce((least, other) => {
      if (other.kind !== 'text' || other.match !== match) return least
      return Math.min(
        least,
        fitText(other.text, styleOf(deck, other), fonts, textRoom(other), measurer, other.fit, infoOf(deck).language).scale,
      )
    }, Infinity)
  },
  { keep: keptMatches },
)

function matchedScale(deck: Deck, element: TextElement & ShownElement, measurer: Measurer): number {
  const slide = deck.slides[element.owner]
  return element.match && slide ? scaleOfMatch(deck, slide, element.match, measurer) : Infinity
}

/** The layout of a text element as the stage draws it; kept until its text, style, box, measurer or what it is matched with changes. */
export function layoutOfElement(deck: Deck, element: TextElement & ShownElement, measurer: Measurer): Fitted {
  const style = styleOf(deck, element)
  const { fonts } = themeUnder(deck, element.owner)
  const room = textRoom(element)
  const { width, height, columns } = room
  const fit = element.fit ?? 'shrink'
  const { language } = infoOf(deck)
  const most = matchedScale(deck, element, measurer)
  const last = known.get(element.text)
  if (
    last &&
    last.fonts === fonts &&
    last.width === width &&
    last.height === height &&
    last.columns === columns &&
    last.fit === fit &&
    last.most === most &&
    last.measurer === measurer &&
    last.language === language &&
    sameStyle(last.style, style)
  ) {
    return last.layout
  }
  const alone = fitText(element.text, style, fonts, room, measurer, fit, language)
  const set: Fitted =
    alone.scale > most && fit === 'shrink'
      ? { ...setText(element.text, style, fonts, room, measurer, most, alone.hyphens), fits: alone.fits }
      : alone
  const layout = style.balanced && !columns && !element.along ? balanced(set, element.text, style, fonts, room, measurer) : set
  known.set(element.text, { style, fonts, width, height, columns, fit, most, measurer, language, layout })
  return layout
}

const keysOf = (style: TextSetting) => Object.keys(style) as (keyof TextSetting)[]
const sameStyle = (a: TextSetting, b: TextSetting) =>
  a === b || (keysOf(a).length === keysOf(b).length && keysOf(a).every(key => a[key] === b[key]))

/** How far a text's lines stand below the inner top of its box, px: none, half or all of the room that they leave. */
export function topOfLines(element: TextElement & ShownElement, layout: Fitted): number {
  const free = Math.max(0, element.box.height - 2 * insetOf(element) - layout.height)
  return element.vertical === 'middle' ? free / 2 : element.vertical === 'bottom' ? free : 0
}

/** Where a line begins, px from the inner left edge of its text's box: before it, where a quotation mark hangs. */
export function leftOfLine(element: TextElement & ShownElement, layout: Fitted, line: Line): number {
  const align = element.align ?? line.align
  const room = (element.columns ? layout.room : Math.max(1, element.box.width - 2 * insetOf(element))) - line.indent
  const free = align === 'center' ? (room - line.width) / 2 : align === 'right' ? room - line.width : 0
  return line.column + (line.rightToLeft ? 0 : line.indent) + free + hungBy(element, line, align)
}

/** How far a line is moved so that what opens it hangs beside the others: not out of a panel, nor over the edge of its box’s slide. */
function hungBy({ panel, box, columns }: TextElement & ShownElement, { hang, rightToLeft }: Line, align: Line['align']): number {
  if (!hang || panel || columns || align !== (rightToLeft ? 'right' : 'left')) return 0
  return rightToLeft ? hang : -Math.min(hang, Math.max(0, box.x))
}

/** Where the lines of a text stand, px from the top left of its box; of words along a line, its whole box. */
export function linePlaces(element: TextElement & ShownElement, layout: Fitted): { x: number; y: number; width: number; height: number }[] {
  if (element.along) return [{ x: 0, y: 0, width: element.box.width, height: element.box.height }]
  const [inset, top] = [insetOf(element), topOfLines(element, layout)]
  return layout.lines
    .filter(line => line.runs.length)
    .map(line => ({ x: inset + leftOfLine(element, layout, line), y: inset + top + line.top, width: line.width, height: line.height }))
}

/** The changes that make boxes which grow with their words as high as these now are. */
export function growBoxes(deck: Deck, ids: readonly Id[], measurer: Measurer): Change[] {
  return ids.flatMap((id): Change[] => {
    const record = deck.elements[id]
    if (record?.kind !== 'text') return []
    const element = shownElement(deck, id)
    if (element?.kind !== 'text' || element.fit !== 'grow') return []
    const height = Math.ceil(layoutOfElement(deck, element, measurer).height + 2 * insetOf(element))
    return Math.abs(height - element.box.height) < 1 ? [] : [setRecord('elements', id, { box: tidyBox({ ...element.box, height }) })]
  })
}
