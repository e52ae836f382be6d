import { sectorPath } from '../../shapes'
import { mix, type ArcMark, type MarkShape } from './mark'

const outline = ({ x, y, from, until, inner, outer }: ArcMark) =>
  sectorPath({ x: x - outer, y: y - outer, width: 2 * outer, height: 2 * outer }, { from, until, hole: outer > 0 ? inner / outer : 0 })

export const arcShape: MarkShape<ArcMark> = {
  node: mark => ({ tag: 'path', attributes: { d: outline(mark) }, paint: 'fill' }),
  origin: ({ x, y }) => ({ box: 'view-box', at: `${x}px ${y}px` }),
  grows: () => 'both',
  reach: () => ({ x: 0, y: 0 }),
  anchor({ x, y, from, until, inner, outer }) {
    const angle = (((from + until) / 2 - 90) * Math.PI) / 180
    const radius = (inner + outer) / 2
    return { x: x + Math.cos(angle) * radius, y: y + Math.sin(angle) * radius }
  },
  collapsed: mark => ({ ...mark, until: mark.from }),
  between: (a, b, progress) => ({
    ...b,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    from: mix(a.from, b.from, progress),
    until: mix(a.until, b.until, progress),
    inner: mix(a.inner, b.inner, progress),
    outer: mix(a.outer, b.outer, progress),
  }),
  outline,
}
