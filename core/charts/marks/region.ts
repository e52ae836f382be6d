import svgpath from 'svgpath'
import { mix, type MarkShape, type RegionMark } from './mark'

/** Path data longer than this no hand draws, and nothing turns into, characters. */
const tooLong = 40_000

/** What is on a map, as a camera sees it: between two of them the camera goes from one place to the other. */
export const regionShape: MarkShape<RegionMark> = {
  beneath: true,
  node: ({ d, edge = 0, view: { scale, x, y } }) => ({
    tag: 'g',
    attributes: {},
    paint: 'fill',
    within: {
      tag: 'path',
      attributes: { d, transform: `translate(${x} ${y}) scale(${scale})`, 'stroke-width': (edge / scale).toFixed(4) },
    },
  }),
  origin: mark => {
    const { x, y } = regionShape.anchor(mark)
    return { box: 'view-box', at: `${x}px ${y}px` }
  },
  grows: () => 'both',
  reach: () => ({ x: 0, y: 0 }),
  anchor: ({ middle, view: { scale, x, y } }) => ({ x: x + scale * middle.x, y: y + scale * middle.y }),
  collapsed: mark => ({ ...mark, opacity: 0 }),
  between(a, b, progress) {
    // What the wider view shows is there on the whole way.
    const wide = a.plane === b.plane && a.view.scale < b.view.scale ? a : b
    const view =
      a.plane === b.plane
        ? {
            scale: mix(a.view.scale, b.view.scale, progress),
            x: mix(a.view.x, b.view.x, progress),
            y: mix(a.view.y, b.view.y, progress),
          }
        : b.view
    return { ...b, d: wide.d, view }
  },
  outline: ({ d, view: { scale, x, y } }) => (d.length > tooLong ? '' : svgpath(d).scale(scale).translate(x, y).round(1).toString()),
}
