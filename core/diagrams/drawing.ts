import type { DiagramItem } from './items'

/** An upright rectangle, px from the diagram's top left. */
export interface Place {
  x: number
  y: number
  width: number
  height: number
}
export interface Spot {
  x: number
  y: number
}

/**
 * How a shape is painted: `solid` in the item's colour, `soft` in a pale tint of it, `glass` lets what lies beneath show through, `line`
 * only an outline.
 */
export type Look = 'solid' | 'soft' | 'glass' | 'line'

/** Words of an item and where they stand. */
export interface TextPlace {
  what: 'head' | 'below' | 'label'
  place: Place
  align: 'left' | 'center' | 'right'
  vertical: 'top' | 'middle' | 'bottom'
  /** What they stand on. */
  on: Look | 'ground'
  /** Of a label: its words. */
  words?: string
}

/** One item as a part: its shapes, words and icon. */
export interface ItemDrawing {
  item: DiagramItem
  /** What is drawn of it, for its box. */
  place: Place
  shapes: { d: string; look: Look }[]
  texts: TextPlace[]
  icon?: { place: Place; on: Look | 'ground' }
  /** Lines that lead to it; they come with it. */
  links: { d: string; head?: string; label?: TextPlace }[]
}

/** A diagram as shapes, links and boxes for words. Items are in the order of the outline. */
export interface DiagramDrawing {
  /** What is there whatever the items are: an axis, a beam. */
  back: { d: string; look: Look }[]
  items: ItemDrawing[]
}

export interface Size {
  width: number
  height: number
}

/** What can be chosen in a family, by name. */
export interface FamilyOption {
  name: string
  label: string
  values: readonly { value: string; label: string }[]
}

/** A way of arranging items. */
export interface DiagramFamily {
  name: string
  label: string
  /** What it says about its items. */
  description: string
  /** Other words that it is found by. */
  keywords: string
  /** How many levels are parts of their own; deeper ones are words in them. */
  depth: number
  /** The first line stands apart from the others: in the middle, at the top. */
  root?: boolean
  /** Parts lie over each other on purpose. */
  overlaps?: boolean
  options?: readonly FamilyOption[]
  draw(items: readonly DiagramItem[], size: Size, options: Readonly<Record<string, unknown>>): DiagramDrawing
}

export const around = (center: Spot, width: number, height: number): Place => ({
  x: center.x - width / 2,
  y: center.y - height / 2,
  width,
  height,
})
export const middle = (place: Place): Spot => ({ x: place.x + place.width / 2, y: place.y + place.height / 2 })
export const inset = (place: Place, across: number, down = across): Place => ({
  x: place.x + across,
  y: place.y + down,
  width: Math.max(1, place.width - 2 * across),
  height: Math.max(1, place.height - 2 * down),
})

const short = (value: number) => Math.round(value * 100) / 100 + 0
export const at = (spot: Spot) => `${short(spot.x)} ${short(spot.y)}`
export const polygon = (points: readonly Spot[]) => `M${points.map(at).join('L')}Z`
export const rectangle = (place: Place, radius = 0) => {
  const { x, y, width, height } = place
  const r = short(Math.max(0, Math.min(radius, width / 2, height / 2)))
  if (!r)
    return polygon([
      { x, y },
      { x: x + width, y },
      { x: x + width, y: y + height },
      { x, y: y + height },
    ])
  return (
    `M${at({ x: x + r, y })}H${short(x + width - r)}A${r} ${r} 0 0 1 ` +
    `${at({ x: x + width, y: y + r })}V${short(y + height - r)}A${r} ${r} 0 0 1 ` +
    `${at({ x: x + width - r, y: y + height })}H${short(x + r)}A${r} ${r} 0 0 1 ` +
    `${at({ x, y: y + height - r })}V${short(y + r)}A${r} ${r} 0 0 1 ${at({ x: x + r, y })}Z`
  )
}
export const circle = (center: Spot, r: number) =>
  `M${at({ x: center.x - r, y: center.y })}A${short(r)} ${short(r)} 0 1 1 ${at({ x: center.x + r, y: center.y })}A${short(r)} ` +
  `${short(r)} 0 1 1 ${at({ x: center.x - r, y: center.y })}Z`

/** An arrow's head that ends at a tip, coming from a direction (radians), as an open path. */
export function arrowHead(tip: Spot, angle: number, length: number): string {
  const side = (turn: number) => ({ x: tip.x - Math.cos(angle + turn) * length, y: tip.y - Math.sin(angle + turn) * length })
  return `M${at(side(0.5))}L${at(tip)}L${at(side(-0.5))}`
}

/** A straight link with a head, which stops short of both ends by some px. */
export function arrow(from: Spot, to: Spot, head: number, gap = 0): { d: string; head: string } {
  const angle = Math.atan2(to.y - from.y, to.x - from.x)
  const start = { x: from.x + Math.cos(angle) * gap, y: from.y + Math.sin(angle) * gap }
  const tip = { x: to.x - Math.cos(angle) * gap, y: to.y - Math.sin(angle) * gap }
  return { d: `M${at(start)}L${at(tip)}`, head: arrowHead(tip, angle, head) }
}

/** The usual gap between parts for a size, px. */
export const gapOf = (size: Size) => Math.max(6, Math.min(size.width, size.height) * 0.035)

/**
 * Cells of equal size in rows, for a number of things; as many columns as come nearest to a wanted width by height. The last row is as wide
 * as the others.
 */
export function cells(count: number, size: Size, wanted: number, gap: number): { columns: number; places: Place[] } {
  let best = { columns: 1, away: Infinity }
  for (let columns = 1; columns <= count; columns++) {
    const rows = Math.ceil(count / columns)
    const ratio = (size.width - gap * (columns - 1)) / columns / ((size.height - gap * (rows - 1)) / rows)
    const empty = columns * rows - count
    const away = Math.abs(Math.log(Math.max(0.01, ratio) / wanted)) + empty * 0.09
    if (away < best.away) best = { columns, away }
  }
  const { columns } = best
  const rows = Math.ceil(count / columns)
  const [width, height] = [Math.max(1, (size.width - gap * (columns - 1)) / columns), Math.max(1, (size.height - gap * (rows - 1)) / rows)]
  return {
    columns,
    places: Array.from({ length: count }, (_, index) => ({
      x: (index % columns) * (width + gap),
      y: Math.floor(index / columns) * (height + gap),
      width,
      height,
    })),
  }
}

/** Head and what stands below it in one box: the head above, the rest under it; the icon above both. */
export function stacked(
  item: DiagramItem,
  place: Place,
  on: TextPlace['on'],
  options: { align?: TextPlace['align']; share?: number; vertical?: TextPlace['vertical'] } = {},
): Pick<ItemDrawing, 'texts' | 'icon'> {
  const { align = 'center', share = 0.38 } = options
  const icon = item.icon ? Math.min(place.height * 0.34, place.width * 0.5) : 0
  const left = { ...place, y: place.y + icon, height: place.height - icon }
  const below = item.children.length > 0
  const head = below ? left.height * share : left.height
  const x = align === 'left' ? place.x : align === 'right' ? place.x + place.width - icon : place.x + (place.width - icon) / 2
  return {
    texts: [
      { what: 'head', place: { ...left, height: head }, align, vertical: options.vertical ?? (below ? 'bottom' : 'middle'), on },
      ...(below
        ? [
            {
              what: 'below' as const,
              place: { ...left, y: left.y + head + left.height * 0.03, height: left.height - head - left.height * 0.03 },
              align,
              vertical: 'top' as const,
              on,
            },
          ]
        : []),
    ],
    ...(icon ? { icon: { place: inset({ x, y: place.y, width: icon, height: icon }, icon * 0.08), on } } : {}),
  }
}
