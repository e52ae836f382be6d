import svgpath from 'svgpath'
import { mixPoint, type MarkShape, type PathMark } from './mark'

/** Any outline: between two of them, the nearer one is seen, on its way to the other's place. */
export const pathShape: MarkShape<PathMark> = {
  node: ({ d }) => ({ tag: 'path', attributes: { d }, paint: 'fill' }),
  origin: ({ middle }) => ({ box: 'view-box', at: `${middle.x}px ${middle.y}px` }),
  reach: () => ({ x: 0, y: 0 }),
  anchor: ({ middle }) => middle,
  collapsed: mark => ({ ...mark, d: `M${mark.middle.x} ${mark.middle.y}` }),
  between(a, b, progress) {
    const near = progress < 0.5 ? a : b
    const middle = mixPoint(a.middle, b.middle, progress)
    const d = svgpath(near.d)
      .translate(middle.x - near.middle.x, middle.y - near.middle.y)
      .round(2)
      .toString()
    return { ...b, d, middle }
  },
  outline: ({ d }) => d,
}
