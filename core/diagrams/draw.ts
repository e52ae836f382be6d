import { hexOf, hexOver, readableOn, type Palette } from '../color'
import type { Deck, DiagramElement, DrawnIcon, Paragraph, TextDoc, TextElement, TextStyle, Theme } from '../model'
import { groundHex, slideOrStandIn, styleNamed, themeSeen, type ShownElement, type TextSetting } from '../resolved'
import { memoByRecords, type Role } from '../values'
import { fitText, fontOf, type Measurer } from '../text'
import type { DiagramDrawing, ItemDrawing, Look, Place, TextPlace } from './drawing'
import { diagramFamily } from './families'
import { headText, readItems, textBelow, type DiagramItem } from './items'

/** A shape with the colours it is painted in, as hex with alpha. */
export interface PaintedShape {
  d: string
  fill: string | null
  stroke: string | null
  width: number
}

/** Words set in their place. `color` is hex, `size` px of deck space. */
export interface PlacedText {
  text: TextDoc
  place: Place
  align: TextPlace['align']
  vertical: TextPlace['vertical']
  size: number
  weight: number
  color: string
}

/** An item as it is shown. `part` is its place among the drawn lines of the outline, as cues tell them apart. */
export interface DrawnItem {
  part: number
  place: Place
  shapes: PaintedShape[]
  links: PaintedShape[]
  texts: PlacedText[]
  icon: { icon: DrawnIcon; place: Place; color: string } | null
}

export interface DrawnDiagram {
  back: PaintedShape[]
  items: DrawnItem[]
  /** False where words are larger than their places even at their least size. */
  fits: boolean
}

/** Families that one text is tried in, side by side. */
const keptFamilies = 60

/** The lines of a diagram's outline that its family draws as parts of their own, in order. */
export const diagramParts = memoByRecords(
  (text: TextDoc, family: string) => [text, family],
  (text, family): readonly Paragraph[] => {
    const { items } = diagramFamily(family).draw(readItems(text), { width: 1600, height: 900 }, {})
    const made = new Set(items.map(entry => entry.item.paragraph))
    return text.content.filter(paragraph => made.has(paragraph))
  },
  { keep: keptFamilies },
)

const accents: readonly Role[] = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6']
const alphaHex = (hex: string, alpha: number) =>
  `${hex}${Math.round(alpha * 255)
    .toString(16)
    .padStart(2, '0')}`

/** The colours of an item: those of its solid, soft and other surfaces, and of words on each. */
function colorsOf(base: string, faint: boolean, ground: string, palette: Palette) {
  const mixed = (hex: string, alpha: number) => hexOver({ hex, alpha }, ground, palette)
  const color = faint ? mixed(base, 0.4) : base
  const soft = mixed(color, faint ? 0.1 : 0.16)
  const readable = (surface: string) => palette[readableOn(surface, palette)]
  const glass = mixed(color, 0.5)
  const fills: Record<Look, string | null> = { solid: color, soft, glass: alphaHex(color, 0.5), line: ground }
  const words: Record<TextPlace['on'], string> = {
    solid: readable(color),
    soft: readable(soft),
    glass: readable(glass),
    line: palette.ink,
    ground: palette.ink,
  }
  return { color, fills, words }
}

/** The largest scale at which words fit their places, no word broken; the least is `least`. */
function scaleFor(
  texts: readonly { text: TextDoc; place: Place }[],
  style: TextSetting,
  fonts: Theme['fonts'],
  measurer: Measurer,
  least: number,
): { scale: number; fits: boolean } {
  let scale = 1
  let fits = true
  for (const { text, place } of texts) {
    const fitted = fitText(text, style, fonts, { width: place.width, height: place.height }, measurer)
    scale = Math.min(scale, fitted.scale)
    fits &&= fitted.fits
    for (const paragraph of text.content) {
      for (const node of paragraph.content ?? []) {
        if (node.type !== 'text') continue
        const font = fontOf(node.marks ?? [], style, fonts, 1)
        const longest = node.text.split(/\s+/).reduce((most, word) => Math.max(most, measurer.width(word, font)), 0)
        if (longest > place.width * 0.98) scale = Math.min(scale, (place.width * 0.98) / longest)
      }
    }
  }
  return { scale: Math.max(least, scale), fits: fits && scale >= least }
}

/**
 * A diagram as it is shown in its box: in the theme's colours as the slide's ground lets them be seen, all heads in one size and all words
 * below them in another. Options: `role`, `each` (a colour for each item), `size` px.
 */
export const drawDiagram = memoByRecords(
  (deck: Deck, element: DiagramElement & ShownElement, measurer: Measurer) => {
    const { width, height } = element.box
    return [
      element.text,
      element.family,
      themeSeen(deck, element.owner),
      groundBeneath(deck, element),
      measurer,
      element.options,
      width,
      height,
    ]
  },
  (deck, element, measurer): DrawnDiagram => paint(element, themeSeen(deck, element.owner), groundBeneath(deck, element), measurer),
)

/** The colour of the ground that a diagram stands on, #rrggbb. */
function groundBeneath(deck: Deck, element: ShownElement): string {
  const slide = slideOrStandIn(deck, element.owner)
  return slide ? groundHex(deck, slide) : themeSeen(deck, element.owner).palette.ground
}

type What = TextPlace['what']

/** Words of a diagram, and where they stand in it. */
interface Words {
  entry: ItemDrawing
  text: TextPlace
  doc: TextDoc
}

/** How heads, the words below them and labels are set before they shrink: the body's way, closer. `base` px is the size of heads. */
function settingsOf(body: TextStyle, base: number): Record<What, TextSetting> {
  const setting = (weight: number, scale: number): TextSetting => ({
    ...body,
    size: base * scale,
    weight,
    leastSize: 4,
    lineHeight: Math.min(body.lineHeight, 1.2),
    paragraphSpacing: Math.min(body.paragraphSpacing, 0.25),
  })
  return {
    head: setting(Math.max(600, body.weight), 1),
    below: setting(body.weight, 0.78),
    label: setting(Math.max(500, body.weight), 0.7),
  }
}

function docOf(item: DiagramItem, text: TextPlace): TextDoc | null {
  if (text.words !== undefined)
    return { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: text.words || ' ' }] }] }
  return text.what === 'head' ? headText(item.paragraph) : textBelow(item)
}

/** All words of a drawing, those along its links too. */
const wordsOf = (drawing: DiagramDrawing): Words[] =>
  drawing.items.flatMap(entry =>
    [...entry.texts, ...entry.links.flatMap(link => (link.label ? [link.label] : []))].flatMap(text => {
      const doc = docOf(entry.item, text)
      return doc ? [{ entry, text, doc }] : []
    }),
  )

/** The colour that stands for the item of a paragraph: one for all, or one for each of the top lines (`each`). */
function baseColors(items: readonly DiagramItem[], options: NonNullable<DiagramElement['options']>, palette: Palette) {
  const role = accents.includes(options.role as Role) ? (options.role as Role) : 'accent1'
  const top = (paragraph: Paragraph) =>
    Math.max(
      0,
      items.findIndex(item => item.paragraph === paragraph || holds(item, paragraph)),
    )
  return {
    all: hexOf({ role }, palette),
    of: (paragraph: Paragraph) => hexOf({ role: options.each ? accents[top(paragraph) % accents.length]! : role }, palette),
  }
}

const painted = ({ d, look }: { d: string; look: Look }, colors: ReturnType<typeof colorsOf>, width: number): PaintedShape => ({
  d,
  fill: colors.fills[look],
  stroke: look === 'line' || look === 'glass' ? colors.color : null,
  width,
})

/** An icon stands in its item's colour where that is seen, else in the colour of words. */
function iconOf({ icon, item }: ItemDrawing, colors: ReturnType<typeof colorsOf>): DrawnItem['icon'] {
  if (!icon || !item.icon) return null
  const own = icon.on === 'ground' || icon.on === 'soft'
  return { icon: item.icon, place: icon.place, color: own ? colors.color : colors.words[icon.on] }
}

function paint(element: DiagramElement & ShownElement, theme: Theme, ground: string, measurer: Measurer): DrawnDiagram {
  const { palette, fonts } = theme
  const options = element.options ?? {}
  const items = readItems(element.text)
  const size = { width: Math.max(1, element.box.width), height: Math.max(1, element.box.height) }
  const drawing: DiagramDrawing = diagramFamily(element.family).draw(items, size, options)
  const parts = diagramParts(element.text, element.family)
  const body = styleNamed(theme, 'body')
  const base = typeof options.size === 'number' ? options.size : body.size
  const settings = settingsOf(body, base)
  const words = wordsOf(drawing)
  const scaleOf = (what: What) => {
    const texts = words.filter(one => one.text.what === what).map(one => ({ text: one.doc, place: one.text.place }))
    return scaleFor(texts, settings[what], fonts, measurer, 9 / base)
  }
  const scales = { head: scaleOf('head'), below: scaleOf('below'), label: scaleOf('label') }
  const anyHighlighted = parts.some(paragraph => paragraph.attrs?.highlighted)
  const bases = baseColors(items, options, palette)
  const width = Math.max(2, Math.min(size.width, size.height) * 0.005)
  const linkColor = hexOver({ hex: palette.ink, alpha: 0.55 }, ground, palette)
  const drawn = (entry: ItemDrawing): DrawnItem => {
    const colors = colorsOf(bases.of(entry.item.paragraph), anyHighlighted && !entry.item.highlighted, ground, palette)
    return {
      part: parts.indexOf(entry.item.paragraph),
      place: entry.place,
      shapes: entry.shapes.map(shape => painted(shape, colors, width)),
      links: entry.links.map(link => ({ d: `${link.d}${link.head ?? ''}`, fill: null, stroke: linkColor, width })),
      texts: words
        .filter(one => one.entry === entry)
        .map(({ text: { what, on, place, align, vertical }, doc }): PlacedText => ({
          text: doc,
          place,
          align,
          vertical,
          size: settings[what].size * scales[what].scale,
          weight: settings[what].weight,
          color: colors.words[on],
        })),
      icon: iconOf(entry, colors),
    }
  }
  const plain = colorsOf(bases.all, anyHighlighted, ground, palette)
  return {
    back: drawing.back.map(shape => painted(shape, plain, width)),
    items: drawing.items.map(drawn),
    fits: Object.values(scales).every(scale => scale.fits),
  }
}

const holds = (item: DiagramItem, paragraph: Paragraph): boolean =>
  item.children.some(child => child.paragraph === paragraph || holds(child, paragraph))

/** Words of a diagram as a text element of its own, which is set as any other. */
export const textOfDiagram = (element: DiagramElement & ShownElement, text: PlacedText, key: string): TextElement & ShownElement => ({
  id: `${element.id}-${key}`,
  owner: element.owner,
  name: '',
  order: 'a0',
  kind: 'text',
  pinned: false,
  style: 'body',
  fit: 'fixed',
  text: text.text,
  size: text.size,
  weight: text.weight,
  lineHeight: 1.2,
  align: text.align,
  vertical: text.vertical,
  color: { hex: text.color },
  box: { ...text.place, angle: 0 },
})
