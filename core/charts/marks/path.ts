import svgpath from 'svgpath'
import { mix, mixPoint, type MarkShape, type PathMark } from './mark'

/** Any outline: between two of them, the nearer one is seen, on its way to the other's place. */
export const pathShape: MarkShape<PathMark> = {
  node: ({ d, share }) => ({
    tag: 'path',
    attributes: { d },
    paint: 'fill',
    ...(share === undefined || share >= 1 ? {} : { clip: `inset(0 ${Math.round((1 - Math.max(0, share)) * 1e4) / 100}% 0 0) fill-box` }),
  }),
  origin: ({ middle }) => ({ box: 'view-box', at: `${middle.x}px ${middle.y}px` }),
  grows: () => 'both',
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
    return {
      ...b,
      d,
      middle,
      ...(a.share !== undefined || b.share !== undefined ? { share: mix(a.share ?? 1, b.share ?? 1, progress) } : {}),
    }
  },
  outline: ({ d }) => d,
}
