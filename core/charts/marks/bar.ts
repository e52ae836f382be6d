import { mix, type BarMark, type MarkShape } from './mark'

export const barShape: MarkShape<BarMark> = {
  node: ({ x, y, width, height }) => ({
    tag: 'rect',
    attributes: { x, y, width: Math.max(0, width), height: Math.max(0, height), rx: Math.min(6, width / 4) },
    paint: 'fill',
  }),
  origin: ({ negative }) => ({ box: 'fill-box', at: negative ? '50% 0' : '50% 100%' }),
  reach: ({ negative, height }) => ({ x: 0, y: negative ? height : -height }),
  anchor: ({ x, y, width, height, negative }) => ({ x: x + width / 2, y: negative ? y + height : y }),
  collapsed: mark => ({ ...mark, y: mark.negative ? mark.y : mark.y + mark.height, height: 0 }),
  between: (a, b, progress) => ({
    ...b,
    negative: (progress < 0.5 ? a : b).negative,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    width: mix(a.width, b.width, progress),
    height: mix(a.height, b.height, progress),
  }),
  // From the foot up, over, and down again, as one draws a bar.
  outline: ({ x, y, width, height, negative }) =>
    negative ? `M${x} ${y}v${height}h${width}v${-height}` : `M${x} ${y + height}v${-height}h${width}v${height}`,
}
