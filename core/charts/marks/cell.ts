import { mix, type CellMark, type MarkShape } from './mark'

export const cellShape: MarkShape<CellMark> = {
  node: ({ x, y, width, height }) => ({
    tag: 'rect',
    attributes: { x, y, width: Math.max(0, width), height: Math.max(0, height) },
    paint: 'fill',
  }),
  origin: () => ({ box: 'fill-box', at: '50% 50%' }),
  grows: () => 'both',
  reach: () => ({ x: 0, y: 0 }),
  anchor: ({ x, y, width, height }) => ({ x: x + width / 2, y: y + height / 2 }),
  collapsed: mark => ({ ...mark, x: mark.x + mark.width / 2, y: mark.y + mark.height / 2, width: 0, height: 0 }),
  between: (a, b, progress) => ({
    ...b,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    width: mix(a.width, b.width, progress),
    height: mix(a.height, b.height, progress),
  }),
  outline: ({ x, y, width, height }) => `M${x} ${y}h${width}v${height}h${-width}Z`,
}
