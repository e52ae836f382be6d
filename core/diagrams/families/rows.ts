import {
  arrow,
  at,
  cells,
  circle,
  gapOf,
  inset,
  middle,
  polygon,
  rectangle,
  stacked,
  type DiagramFamily,
  type ItemDrawing,
  type Place,
  type Size,
} from '../drawing'
import { rooted, type DiagramItem } from '../items'

/** Pointing bands in reading order. */
export const steps: DiagramFamily = {
  name: 'steps',
  label: 'Steps',
  description: 'One after another',
  keywords: 'process sequence order chevron stages',
  depth: 1,
  draw(items, size) {
    const gap = gapOf(size) * 0.6
    const deep = items.some(item => item.children.length)
    const { columns, places } = cells(items.length, size, deep ? 1.1 : 2, gap)
    const last = Math.ceil(items.length / columns)
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const cell = places[index]!
        const height = deep ? cell.height * 0.42 : Math.min(cell.height, cell.width * 0.62)
        const y = deep || last > 1 ? cell.y : cell.y + (cell.height - height) / 2
        const band: Place = { ...cell, y, height }
        const point = Math.min(band.height * 0.34, band.width * 0.18)
        const first = index % columns === 0
        const { x, width } = band
        const d = polygon([
          { x, y },
          { x: x + width - point, y },
          { x: x + width, y: y + height / 2 },
          { x: x + width - point, y: y + height },
          { x, y: y + height },
          ...(first ? [] : [{ x: x + point, y: y + height / 2 }]),
        ])
        const room = {
          x: x + (first ? point * 0.5 : point * 1.1),
          y: y + height * 0.08,
          width: width - point * (first ? 1.4 : 2.1),
          height: height * 0.84,
        }
        const head = stacked({ ...item, children: [] }, room, 'solid')
        return {
          item,
          place: deep ? cell : band,
          shapes: [{ d, look: 'solid' }],
          links: [],
          ...head,
          texts: [
            ...head.texts,
            ...(item.children.length
              ? [
                  {
                    what: 'below' as const,
                    place: {
                      x: x + width * 0.03,
                      y: y + height + cell.height * 0.04,
                      width: width * 0.9,
                      height: cell.height - height - cell.height * 0.05,
                    },
                    align: 'left' as const,
                    vertical: 'top' as const,
                    on: 'ground' as const,
                  },
                ]
              : []),
          ],
        }
      }),
    }
  },
}

/** Cards side by side. */
export const cards: DiagramFamily = {
  name: 'cards',
  label: 'Cards',
  description: 'Side by side, of equal weight',
  keywords: 'grid list parallel boxes points',
  depth: 1,
  draw(items, size) {
    const gap = gapOf(size)
    const { places } = cells(items.length, size, 1.5, gap)
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const place = places[index]!
        const rule = Math.max(4, place.height * 0.025)
        return {
          item,
          place,
          shapes: [
            { d: rectangle(place), look: 'soft' },
            { d: rectangle({ ...place, height: rule }), look: 'solid' },
          ],
          links: [],
          ...stacked(
            item,
            inset({ ...place, y: place.y + rule, height: place.height - rule }, place.width * 0.06, place.height * 0.06),
            'soft',
            { align: 'left', vertical: item.children.length ? 'bottom' : 'middle' },
          ),
        }
      }),
    }
  },
}

/** Fields of a square, with an axis on two sides where wanted. */
export const fields: DiagramFamily = {
  name: 'fields',
  label: 'Fields',
  description: 'Sorted by two questions',
  keywords: 'matrix quadrant grid two by two table',
  depth: 1,
  draw(items, size) {
    const gap = gapOf(size) * 0.5
    const columns = Math.max(1, Math.ceil(Math.sqrt(items.length)))
    const rows = Math.max(1, Math.ceil(items.length / columns))
    const [width, height] = [(size.width - gap * (columns - 1)) / columns, (size.height - gap * (rows - 1)) / rows]
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const place = { x: (index % columns) * (width + gap), y: Math.floor(index / columns) * (height + gap), width, height }
        return {
          item,
          place,
          shapes: [{ d: rectangle(place, 10), look: 'solid' }],
          links: [],
          ...stacked(item, inset(place, width * 0.07, height * 0.08), 'solid'),
        }
      }),
    }
  },
}

/** Bands one upon the other. */
export const layers: DiagramFamily = {
  name: 'layers',
  label: 'Layers',
  description: 'Each rests on the one below',
  keywords: 'stack bands levels foundation',
  depth: 1,
  draw(items, size) {
    const gap = gapOf(size) * 0.4
    const height = (size.height - gap * (items.length - 1)) / Math.max(1, items.length)
    const deep = items.some(item => item.children.length)
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const place = { x: 0, y: index * (height + gap), width: size.width, height }
        const head = { ...place, width: deep ? size.width * 0.36 : size.width }
        const own = stacked({ ...item, children: [] }, inset(head, head.width * 0.05, height * 0.1), 'solid')
        const beside = { x: head.width, y: place.y, width: size.width - head.width, height }
        return {
          item,
          place,
          links: [],
          shapes: [...(deep ? [{ d: rectangle(beside), look: 'soft' as const }] : []), { d: rectangle(head), look: 'solid' }],
          ...own,
          texts: [...own.texts, ...(item.children.length ? [below(inset(beside, beside.width * 0.04, height * 0.1), 'middle')] : [])],
        }
      }),
    }
  },
}

/** Columns that rise from one to the next. */
export const ladder: DiagramFamily = {
  name: 'ladder',
  label: 'Ladder',
  description: 'Each stands higher than the last',
  keywords: 'stairs growth maturity rising progress',
  depth: 1,
  draw(items, size) {
    const gap = gapOf(size) * 0.35
    const count = items.length
    const width = (size.width - gap * (count - 1)) / Math.max(1, count)
    const least = size.height * (items.some(item => item.children.length) ? 0.46 : 0.3)
    return {
      back: [],
      items: items.map((item, index): ItemDrawing => {
        const height = count > 1 ? least + ((size.height - least) * index) / (count - 1) : size.height
        const place = { x: index * (width + gap), y: size.height - height, width, height }
        return {
          item,
          place,
          shapes: [{ d: rectangle(place), look: 'solid' }],
          links: [],
          ...stacked(item, inset({ ...place, height: least }, width * 0.07, least * 0.08), 'solid', {
            align: 'left',
            vertical: item.children.length ? 'bottom' : 'top',
          }),
        }
      }),
    }
  },
}

/** Words below a head, on a soft surface. */
const below = (place: Place, vertical: 'top' | 'middle') => ({
  what: 'below' as const,
  place,
  align: 'left' as const,
  vertical,
  on: 'soft' as const,
})

/** A column with its head, the words below it inside. */
function pillar(item: DiagramItem, place: Place, cap: number): ItemDrawing {
  const head = { ...place, height: cap }
  const body = { ...place, y: place.y + cap, height: place.height - cap }
  const own = stacked({ ...item, children: [] }, inset(head, place.width * 0.06, cap * 0.1), 'solid')
  return {
    item,
    place,
    links: [],
    shapes: [
      { d: rectangle(body), look: 'soft' },
      { d: rectangle(head), look: 'solid' },
    ],
    ...own,
    texts: [...own.texts, ...(item.children.length ? [below(inset(body, place.width * 0.07, body.height * 0.05), 'top')] : [])],
  }
}

/** The roof over all columns, as high as `height` px. */
function gable(item: DiagramItem, { width }: Size, height: number): ItemDrawing {
  const d = polygon([
    { x: 0, y: height },
    { x: width / 2, y: 0 },
    { x: width, y: height },
  ])
  const place = { x: width * 0.26, y: height * 0.45, width: width * 0.48, height: height * 0.5 }
  return {
    item,
    place: { x: 0, y: 0, width, height },
    links: [],
    shapes: [{ d, look: 'solid' }],
    texts: [{ what: 'head', place, align: 'center', vertical: 'middle', on: 'solid' }],
  }
}

/** Columns under a roof, or without one. */
export const pillars: DiagramFamily = {
  name: 'pillars',
  label: 'Pillars',
  description: 'What holds the whole up',
  keywords: 'temple columns supports foundation roof',
  depth: 2,
  draw(items, size) {
    // A first line with lines under it is the roof; further lines stand beneath it too.
    const roof = items[0]?.children.length ? rooted(items) : null
    const columns = roof ? roof.children : items
    const gap = gapOf(size)
    const top = roof ? size.height * 0.24 : 0
    const base = size.height * 0.035
    const width = (size.width * 0.94 - gap * (columns.length - 1)) / Math.max(1, columns.length)
    const height = size.height - top - gap - base * 1.4
    const made = columns.map((item, index) => {
      const place = { x: size.width * 0.03 + index * (width + gap), y: top + gap, width, height }
      return pillar(item, place, Math.min(height * 0.28, size.height * 0.2))
    })
    return {
      back: [{ d: rectangle({ x: 0, y: size.height - base, width: size.width, height: base }), look: 'solid' }],
      items: roof ? [gable(roof, size, top), ...made] : made,
    }
  },
}

/** Rows of a swimming bath: who does what, in order. */
export const lanes: DiagramFamily = {
  name: 'lanes',
  label: 'Lanes',
  description: 'Who does what, in order',
  keywords: 'rows responsibilities departments process',
  depth: 2,
  draw(items, size) {
    const gap = gapOf(size) * 0.5
    const height = (size.height - gap * (items.length - 1)) / Math.max(1, items.length)
    const most = Math.max(1, ...items.map(item => item.children.length))
    const name = size.width * 0.2
    const width = (size.width - name - gap * (most + 1)) / most
    return {
      back: [],
      items: items.flatMap((item, row): ItemDrawing[] => {
        const lane = { x: 0, y: row * (height + gap), width: size.width, height }
        const label = { ...lane, width: name }
        const own = stacked({ ...item, children: [] }, inset(label, name * 0.08, height * 0.1), 'solid')
        return [
          {
            item,
            place: lane,
            links: [],
            shapes: [
              { d: rectangle(lane, 8), look: 'soft' },
              { d: rectangle(label, 8), look: 'solid' },
            ],
            ...own,
          },
          ...item.children.map((child, index): ItemDrawing => {
            const place = { x: name + gap + index * (width + gap), y: lane.y + height * 0.12, width, height: height * 0.76 }
            const before = index > 0 ? { x: place.x - gap, y: middle(place).y } : null
            return {
              item: child,
              place,
              shapes: [{ d: rectangle(place, 8), look: 'line' }],
              links: before ? [arrow(before, { x: place.x, y: before.y }, gap * 0.5, 1)] : [],
              ...stacked(child, inset(place, width * 0.06, place.height * 0.07), 'ground'),
            }
          }),
        ]
      }),
    }
  },
}

const year = /^\s*(?:\p{L}+\.?\s+)?(\d{4})(?:-(\d\d))?\b/u
/** When an item happens, in years, where its words begin with a year. */
function timeOf(words: string): number | null {
  const found = year.exec(words)
  return found ? Number(found[1]) + (found[2] ? (Number(found[2]) - 1) / 12 : 0) : null
}

/** Points of a line through time, evenly or to true time, with their words above and below in turn. */
export const line: DiagramFamily = {
  name: 'line',
  label: 'Line through time',
  description: 'What happened when',
  keywords: 'timeline history events dates years schedule',
  depth: 1,
  options: [
    {
      name: 'spacing',
      label: 'Spacing',
      values: [
        { value: 'even', label: 'even' },
        { value: 'true', label: 'true to time' },
      ],
    },
  ],
  draw(items, size, options) {
    const count = items.length
    const times = items.map(item => timeOf(item.words))
    const room = (2 * size.width) / (count + 1)
    const even = (index: number) => (room / 2) * (index + 1)
    let xs = items.map((_, index) => even(index))
    if (
      options.spacing === 'true' &&
      count > 1 &&
      times.every((time, index) => time !== null && (index === 0 || time >= times[index - 1]!)) &&
      times.at(-1)! > times[0]!
    ) {
      const [first, last] = [times[0]!, times.at(-1)!]
      xs = times.map(time => room / 2 + ((time! - first) / (last - first)) * (size.width - room))
      // Neighbours on one side keep a card's width between them: cards move, their points stay true.
    }
    const axis = size.height / 2
    const dot = Math.max(5, Math.min(size.height * 0.025, room * 0.1))
    const width = room * 0.92
    const height = axis - dot * 3.2
    /** Cards of one side, pushed apart where their points are near, and held inside. */
    const spread = (side: number) => {
      const own = xs.map((x, index) => ({ x, index })).filter(entry => entry.index % 2 === side)
      const lefts = own.map(entry => entry.x - width / 2)
      for (let index = 0; index < lefts.length; index++) lefts[index] = Math.max(lefts[index]!, index ? lefts[index - 1]! + room : 0)
      for (let index = lefts.length - 1; index >= 0; index--)
        lefts[index] = Math.min(lefts[index]!, index === lefts.length - 1 ? size.width - width : lefts[index + 1]! - room)
      return new Map(own.map((entry, index) => [entry.index, lefts[index]!]))
    }
    const lefts = new Map([...spread(0), ...spread(1)])
    return {
      back: [{ d: rectangle({ x: 0, y: axis - dot * 0.25, width: size.width, height: dot * 0.5 }), look: 'soft' }],
      items: items.map((item, index): ItemDrawing => {
        const above = index % 2 === 0
        const card = { x: lefts.get(index)!, y: above ? 0 : size.height - height, width, height }
        const spot = { x: xs[index]!, y: axis }
        const stem = { x: Math.min(card.x + width - 4, Math.max(card.x + 4, spot.x)), y: above ? height : size.height - height }
        return {
          item,
          place: card,
          shapes: [{ d: circle(spot, dot), look: 'solid' }],
          links: [{ d: `M${at({ x: spot.x, y: axis + (above ? -dot : dot) })}L${at(stem)}` }],
          ...stacked(item, inset(card, width * 0.03, 0), 'ground', {
            vertical: item.children.length ? 'bottom' : above ? 'bottom' : 'top',
          }),
        }
      }),
    }
  },
}
