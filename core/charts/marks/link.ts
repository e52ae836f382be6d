import { mix, mixPoint, type LinkMark, type MarkShape } from './mark'

/** A curve that leaves and arrives level. */
function way({ from, to }: LinkMark): string {
  const half = (from.x + to.x) / 2
  return `M${from.x} ${from.y}C${half} ${from.y} ${half} ${to.y} ${to.x} ${to.y}`
}
const middle = ({ from, to }: LinkMark) => mixPoint(from, to, 0.5)

export const linkShape: MarkShape<LinkMark> = {
  beneath: true,
  node: mark => ({
    tag: 'path',
    attributes: { d: way(mark), fill: 'none', 'stroke-width': Math.max(0, mark.width) },
    paint: 'stroke',
  }),
  origin: ({ from }) => ({ box: 'view-box', at: `${from.x}px ${from.y}px` }),
  reach: () => ({ x: 0, y: 0 }),
  anchor: middle,
  collapsed: mark => ({ ...mark, width: 0 }),
  between: (a, b, progress) => ({
    ...b,
    from: mixPoint(a.from, b.from, progress),
    to: mixPoint(a.to, b.to, progress),
    width: mix(a.width, b.width, progress),
  }),
  outline: way,
}
