import { mix, type MarkShape, type PointMark } from './mark'

export const pointShape: MarkShape<PointMark> = {
  node: ({ x, y, radius }) => ({ tag: 'circle', attributes: { cx: x, cy: y, r: Math.max(0, radius) }, paint: 'fill' }),
  origin: ({ x, foot }) => ({ box: 'view-box', at: `${x}px ${foot}px` }),
  reach: ({ y, foot }) => ({ x: 0, y: y - foot }),
  anchor: ({ x, y }) => ({ x, y }),
  collapsed: mark => ({ ...mark, y: mark.foot, radius: 0 }),
  between: (a, b, progress) => ({
    ...b,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    radius: mix(a.radius, b.radius, progress),
    foot: mix(a.foot, b.foot, progress),
  }),
  outline: ({ x, y, radius }) => `M${x - radius} ${y}a${radius} ${radius} 0 1 1 ${2 * radius} 0a${radius} ${radius} 0 1 1 ${-2 * radius} 0`,
}
