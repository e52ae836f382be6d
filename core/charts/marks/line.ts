import { mix, mixPoints, throughPoints, type LineMark, type MarkShape } from './mark'

const middle = ({ points }: LineMark) => {
  const [first, last] = [points[0], points.at(-1)]
  return first && last ? { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 } : { x: 0, y: 0 }
}

export const lineShape: MarkShape<LineMark> = {
  beneath: true,
  node: mark => ({
    tag: 'path',
    attributes: {
      d: throughPoints(mark.points),
      fill: 'none',
      'stroke-width': mark.width,
      'stroke-linecap': 'round',
      'stroke-linejoin': 'round',
      ...(mark.dash ? { 'stroke-dasharray': mark.dash.join(' ') } : {}),
    },
    paint: 'stroke',
  }),
  origin: mark => ({ box: 'view-box', at: `${middle(mark).x}px ${mark.foot}px` }),
  reach: () => ({ x: 0, y: 0 }),
  anchor: middle,
  collapsed: mark => ({ ...mark, points: mark.points.map(({ x }) => ({ x, y: mark.foot })) }),
  between: (a, b, progress) => ({
    ...b,
    points: mixPoints(a.points, b.points, progress),
    width: mix(a.width, b.width, progress),
    foot: mix(a.foot, b.foot, progress),
  }),
  outline: ({ points }) => throughPoints(points),
}
