import { at, gapOf, polygon, stacked, type DiagramFamily, type ItemDrawing } from '../drawing'

/** Slices of a form that narrows from one width to another, top to bottom, as shares of its whole width. */
function slices(name: string, label: string, says: string, words: string, from: number, to: number): DiagramFamily {
  return {
    name,
    label,
    description: says,
    keywords: words,
    depth: 1,
    draw(items, size) {
      const count = items.length
      const deep = items.some(item => item.children.length) || Math.min(from, to) < 0.2
      const width = deep ? Math.min(size.width * 0.46, size.height * 1.1) : Math.min(size.width, size.height * 1.6)
      const left = deep ? 0 : (size.width - width) / 2
      const gap = gapOf(size) * 0.3
      const height = (size.height - gap * (count - 1)) / Math.max(1, count)
      const wide = (y: number) => width * (from + (to - from) * (y / size.height))
      return {
        back: [],
        items: items.map((item, index): ItemDrawing => {
          const [top, bottom] = [index * (height + gap), index * (height + gap) + height]
          const center = left + width / 2
          const [a, b] = [wide(top) / 2, wide(bottom) / 2]
          const d = polygon([
            { x: center - a, y: top },
            { x: center + a, y: top },
            { x: center + b, y: bottom },
            { x: center - b, y: bottom },
          ])
          const room = Math.min(a, b) * 2
          const mean = { x: center + (a + b) / 2, y: (top + bottom) / 2 }
          const beside = { x: width + gap * 7, y: top, width: size.width - width - gap * 7, height }
          const place = deep
            ? { x: 0, y: top, width: size.width, height }
            : { x: center - Math.max(a, b), y: top, width: Math.max(a, b) * 2, height }
          if (!deep)
            return {
              item,
              place,
              shapes: [{ d, look: 'solid' }],
              links: [],
              ...stacked(item, { x: center - room * 0.44, y: top + height * 0.08, width: room * 0.88, height: height * 0.84 }, 'solid'),
            }
          return {
            item,
            place,
            shapes: [{ d, look: 'solid' }],
            links: [{ d: `M${at({ x: mean.x + gap, y: mean.y })}L${at({ x: beside.x - gap * 2, y: mean.y })}` }],
            ...stacked(item, beside, 'ground', { align: 'left', share: 0.42, vertical: item.children.length ? 'bottom' : 'middle' }),
          }
        }),
      }
    },
  }
}

/** Fewer and fewer get through. */
export const funnel = slices('funnel', 'Funnel', 'Fewer at every stage', 'narrow conversion filter selection', 1, 0.3)
/** Slices of a mountain. */
export const peak = slices('peak', 'Peak', 'Few at the top, many below', 'pyramid triangle hierarchy levels needs', 0.02, 1)
