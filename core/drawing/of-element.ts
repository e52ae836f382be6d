import { group } from 'd3-array'
import svgpath from 'svgpath'
import { contrast, hexOf, plainColor, type Palette } from '../color'
import { drawingOfElement, labelColor, shapeOf, swatchRoom, toneOf, tonesOf, type ChartMark } from '../charts'
import {
  tablesDrawn,
  type ChartElement,
  type Deck,
  type DiagramElement,
  type DrawnIcon,
  type FigureElement,
  type PictureElement,
  type ShapeElement,
  type TextElement,
  type TableElement,
} from '../model'
import { groundHex, slideOrStandIn, styleNamed, themeSeen, type ShownElement } from '../resolved'
import { memoByRecords, type Id } from '../values'
import { drawDiagram, textOfDiagram, type PaintedShape, type Place } from '../diagrams'
import { drawFigure, figureLook } from '../figures'
import type { DataTable } from '../data'
import { cropOf, viewOf } from '../place'
import { drawnLine, outlineOf, panelShape, stretchesOf } from '../shapes'
import { layoutOfTable } from '../tables'
import type { Measurer } from '../text'
import type { Ink } from './ink'
import { roughPath } from './rough'
import { handDrawing, type HandDrawing, type HandStroke } from './stroke'
import { strokesOfText, strokesOfWords } from './words'

/** What a drawing is made from beside its deck. */
export interface DrawingContext {
  ink: Ink
  measurer: Measurer
  table(id: Id): DataTable | undefined
}

/** How thick a line is where nothing says so, px of deck space. */
const usualLine = 3

const strokesOf = (d: string, color: string, width: number, covers?: string): HandStroke[] =>
  stretchesOf(d).map(one => ({ d: one, color, width, ...(covers ? { covers } : {}) }))

/** The colour that a shape is drawn in: of its outline, else of its fill. */
function lineColor(element: ShapeElement, palette: Palette): string {
  if (element.stroke) return hexOf(element.stroke.color, palette)
  return hexOf((element.fill && plainColor(element.fill, palette)) ?? { role: 'ink' }, palette)
}

/** The path of a shape as the stage draws it, px from the top left of its box: the shape stands in by half its outline's width. */
export function shapePath(element: ShapeElement & ShownElement): {
  outline: string
  fill: string
  marks: ReturnType<typeof drawnLine>['marks']
} {
  const { width, height } = element.box
  const rough = (d: string) => (element.rough ? roughPath(d, element.rough, element.id) : d)
  if (element.shape === 'line') {
    const line = drawnLine(element, { width, height })
    return { outline: rough(line.path), fill: '', marks: line.marks }
  }
  const inset = (element.stroke?.width ?? 0) / 2
  const plain = outlineOf(element, { width: Math.max(0, width - 2 * inset), height: Math.max(0, height - 2 * inset) })
  const fill = inset ? svgpath(plain).translate(inset, inset).toString() : plain
  return { outline: rough(fill), fill, marks: [] }
}

function ofShape(element: ShapeElement & ShownElement, palette: Palette): HandStroke[] {
  const color = lineColor(element, palette)
  const width = element.stroke?.width ?? usualLine
  const { outline, marks } = shapePath(element)
  return [...strokesOf(outline, color, width), ...marks.flatMap(mark => strokesOf(mark.path, color, width))]
}

/** The shape that words stand in, where their panel has one. */
function ofPanel(element: TextElement & ShownElement, palette: Palette): HandStroke[] {
  const shape = panelShape(element)
  return shape ? ofShape({ ...shape, box: element.box, pinned: element.pinned }, palette) : []
}

function ofIcon(icon: DrawnIcon, color: string, place: Place, weight = 1): HandStroke[] {
  const scale = Math.min(place.width / icon.view[0], place.height / icon.view[1])
  const [x, y] = [place.x + (place.width - icon.view[0] * scale) / 2, place.y + (place.height - icon.view[1] * scale) / 2]
  return icon.paths.flatMap(path =>
    strokesOf(
      svgpath(path.d).scale(scale).translate(x, y).round(2).toString(),
      color,
      path.width ? path.width * weight * scale : usualLine,
    ),
  )
}

function ofFigure(deck: Deck, element: FigureElement & ShownElement): HandStroke[] {
  const theme = themeSeen(deck, element.owner)
  const {
    parts,
    view: [left, top, width, height],
  } = drawFigure({ look: figureLook(element, theme), pose: element.pose }, theme.palette)
  const scale = Math.min(element.box.width / width, element.box.height / height)
  const [x, y] = [
    (element.box.width - width * scale) / 2 - (element.facing === 'left' ? -(left + width) : left) * scale,
    element.box.height - (top + height) * scale,
  ]
  const slide = slideOrStandIn(deck, element.owner)
  const paper = slide ? groundHex(deck, slide) : '#ffffff'
  const place = (d: string) =>
    svgpath(d)
      .scale(element.facing === 'left' ? -scale : scale, scale)
      .translate(x, y)
      .round(2)
      .toString()
  return parts.flatMap(part =>
    strokesOf(
      place(part.d),
      part.stroke?.color ?? '#26333a',
      Math.max(2, (part.stroke?.width ?? 0.35) * scale),
      part.fill === 'none' ? undefined : paper,
    ),
  )
}

function ofChart(deck: Deck, element: ChartElement & ShownElement, { ink, measurer, table }: DrawingContext): HandStroke[] {
  const drawing = drawingOfElement(deck, element, null, table, measurer)
  if (!drawing) return []
  const theme = themeSeen(deck, element.owner)
  const color = hexOf({ role: 'ink' }, theme.palette)
  const tones = tonesOf(element.chart!, theme.palette)
  const ends = (points: readonly { x: number; y: number }[]) => points.map(({ x, y }, at) => `${at ? 'L' : 'M'}${x} ${y}`).join('')
  const label = (one: (typeof drawing.labels)[number]): HandStroke[] => {
    const font = { family: one.display ? theme.fonts.display : theme.fonts.body, size: one.size, weight: one.weight, italic: false }
    const written = labelColor(one, tones)
    const side = one.size * 0.8
    const words = one.lines.flatMap((line, index) => {
      const baseline = one.y + (index - (one.lines.length - 1) / 2) * one.size * 1.25 + one.size * 0.35
      const middle = one.x + (one.swatch ? (one.size * swatchRoom) / 2 : 0)
      const strokes = strokesOfWords(line, middle - measurer.width(line, font) / 2, baseline, { ink, font, color: written, measurer })
      return one.angle
        ? strokes.map(stroke => ({ ...stroke, d: svgpath(stroke.d).rotate(one.angle, one.x, one.y).round(2).toString() }))
        : strokes
    })
    const swatch = `M${one.x - one.width / 2} ${one.y - side / 2}h${side}v${side}h${-side}Z`
    return [
      ...(one.swatch ? [{ d: swatch, color: tones.of(one.swatch), width: usualLine }] : []),
      ...(one.leader ? [{ d: ends(one.leader), color: tones.of({ name: 'line' }), width: 2 }] : []),
      ...words,
    ]
  }
  const marks = group(drawing.marks, mark => mark.part)
  const labels = group(drawing.labels, one => one.part)
  const stroke = (mark: ChartMark): HandStroke => ({
    d: shapeOf(mark).outline(mark),
    color: tones.of(toneOf(mark)),
    width: usualLine,
  })
  return [
    ...drawing.rules.map(rule => ({ d: `M${rule.from.x} ${rule.from.y}L${rule.to.x} ${rule.to.y}`, color, width: 2 })),
    ...Array.from({ length: drawing.parts }, (_, part) => [
      ...(marks.get(part) ?? []).map(stroke).filter(({ d }) => d !== ''),
      ...(labels.get(part) ?? []).flatMap(label),
    ]).flat(),
    ...(labels.get(null) ?? []).flatMap(label),
  ]
}

function ofDiagram(deck: Deck, element: DiagramElement & ShownElement, { ink, measurer }: DrawingContext): HandStroke[] {
  const drawing = drawDiagram(deck, element, measurer)
  const painted = (shape: PaintedShape) =>
    strokesOf(shape.d, (shape.stroke ?? shape.fill ?? '#26333a').slice(0, 7), shape.stroke ? shape.width : usualLine)
  return [
    ...drawing.back.flatMap(painted),
    ...drawing.items.flatMap(item => [
      ...item.links.flatMap(painted),
      ...item.shapes.flatMap(painted),
      ...(item.icon ? ofIcon(item.icon.icon, item.icon.color, item.icon.place) : []),
      ...item.texts.flatMap((text, index) =>
        strokesOfText(deck, textOfDiagram(element, text, `${item.part}-${index}`), ink, measurer).map(stroke => ({
          ...stroke,
          d: svgpath(stroke.d).translate(text.place.x, text.place.y).round(2).toString(),
        })),
      ),
    ]),
  ]
}

function ofTable(deck: Deck, element: TableElement & ShownElement, { ink, measurer, table }: DrawingContext): HandStroke[] {
  const layout = layoutOfTable(deck, element, table, measurer)
  if (!layout) return []
  const theme = themeSeen(deck, element.owner)
  const body = styleNamed(theme, 'body')
  const family = body.family ?? theme.fonts[body.font]
  const color = hexOf({ role: 'ink' }, theme.palette)
  return layout.cells.flatMap(cell => {
    const font = { family, size: layout.size, weight: cell.kind === 'body' ? body.weight : Math.max(600, body.weight), italic: false }
    const foot = cell.column === 0 ? [{ d: `M${cell.x} ${cell.y + cell.height}H${element.box.width}`, color, width: 2 }] : []
    return [
      ...foot,
      ...cell.lines.flatMap((words, index) => {
        const wide = measurer.width(words, font)
        const room = cell.width - 2 * layout.pad.across
        const x =
          cell.x + layout.pad.across + cell.shift + (cell.align === 'center' ? (room - wide) / 2 : cell.align === 'right' ? room - wide : 0)
        return strokesOfWords(
          words,
          x,
          cell.y + cell.height / 2 + (index - (cell.lines.length - 1) / 2) * layout.size * 1.22 + layout.size * 0.34,
          { ink, font, color, measurer },
        )
      }),
    ]
  })
}

function ofPicture(element: PictureElement & ShownElement, color: string, ink: Ink): HandDrawing | null {
  const traced = element.media === undefined ? undefined : ink.traced(element.media)
  if (!traced) return null
  const size = { width: element.box.width, height: element.box.height }
  const crop = element.natural && !element.logo ? cropOf(element.natural, size, viewOf(element)) : { x: 0, y: 0, ...size }
  const strokes = traced.paths.map(d => ({
    d: svgpath(d)
      .scale(crop.width / traced.width, crop.height / traced.height)
      .translate(crop.x, crop.y)
      .round(1)
      .toString(),
    color,
    width: 2.5,
  }))
  const frame = element.frame && !element.frame.words?.trim() ? outlineOf(element.frame, size) : `M0 0H${size.width}V${size.height}H0Z`
  // What lies wholly outside the frame nobody draws.
  const seen = strokes.filter(({ d }) =>
    d
      .slice(1)
      .split('L')
      .some(pair => {
        const [x, y] = pair.split(' ').map(Number) as [number, number]
        return x > 0 && y > 0 && x < size.width && y < size.height
      }),
  )
  return handDrawing(seen, frame)
}

/**
 * What a hand draws of an element, in the order of its strokes; null where there is nothing to draw, or not yet. Kept with the
 * element until what it is drawn from changes.
 */
export const handDrawingOf = memoByRecords(
  (deck: Deck, element: ShownElement, context: DrawingContext) => {
    const slide = slideOrStandIn(deck, element.owner)
    const read = element.kind === 'chart' ? tablesDrawn(element.chart) : element.kind === 'table' && element.table ? [element.table] : []
    const [table, map] = read.map(context.table)
    const ground = slide && groundHex(deck, slide)
    return [element, context.ink, context.measurer, themeSeen(deck, element.owner), ground, table, map]
  },
  (deck, element, context): HandDrawing | null => drawn(deck, element, context),
)

/** Lines that differ less than this from what they are drawn on, as a ratio of luminances, are not seen while they are drawn. */
const leastSeen = 1.7

/** Strokes that can be seen on the ground of their slide: what is set on something of its own that comes later is drawn in ink. */
function seenOn(ground: string | null, palette: Palette, strokes: HandStroke[]): HandStroke[] {
  if (!ground) return strokes
  const ink = hexOf({ role: 'ink' }, palette)
  return strokes.map(stroke => (contrast(stroke.covers ?? ground, stroke.color) < leastSeen ? { ...stroke, color: ink } : stroke))
}

function drawn(deck: Deck, element: ShownElement, context: DrawingContext): HandDrawing | null {
  const { palette } = themeSeen(deck, element.owner)
  if (element.kind === 'picture') return ofPicture(element, hexOf({ role: 'ink' }, palette), context.ink)
  const slide = slideOrStandIn(deck, element.owner)
  const strokes = seenOn(slide ? groundHex(deck, slide) : null, palette, strokesOfElement(deck, element, context, palette))
  return strokes.length ? handDrawing(strokes) : null
}

function strokesOfElement(deck: Deck, element: ShownElement, context: DrawingContext, palette: Palette): HandStroke[] {
  if (element.kind === 'text') return [...ofPanel(element, palette), ...strokesOfText(deck, element, context.ink, context.measurer)]
  if (element.kind === 'shape') return ofShape(element, palette)
  if (element.kind === 'icon')
    return ofIcon(
      element.icon,
      hexOf(element.color ?? { role: 'ink' }, palette),
      { x: 0, y: 0, width: element.box.width, height: element.box.height },
      element.weight,
    )
  if (element.kind === 'figure') return ofFigure(deck, element)
  if (element.kind === 'chart') return ofChart(deck, element, context)
  if (element.kind === 'diagram') return ofDiagram(deck, element, context)
  if (element.kind === 'table') return ofTable(deck, element, context)
  return []
}
