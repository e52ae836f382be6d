import { mix, type BarMark, type MarkShape } from './mark'

/** The corners of a free end, px. */
const corner = 6
const free = ({ width, height, lying, corner: own }: BarMark) =>
  Math.max(0, Math.min(own ?? corner, (lying ? height : width) / 4, lying ? width : height))

/** From its foot to its free end, over, and back again, as one draws a bar. */
function around(mark: BarMark, r: number): string {
  const { x, y, negative, lying } = mark
  const [width, height] = [Math.max(0, mark.width), Math.max(0, mark.height)]
  if (lying) {
    const [foot, way] = negative ? [x + width, -1] : [x, 1]
    const long = way * (width - r)
    const over = r ? `q${way * r} 0 ${way * r} ${r}` : ''
    const back = r ? `q0 ${r} ${-way * r} ${r}` : ''
    return `M${foot} ${y}h${long}${over}v${height - 2 * r}${back}h${-long}`
  }
  const [foot, way] = negative ? [y, 1] : [y + height, -1]
  const long = way * (height - r)
  const over = r ? `q0 ${way * r} ${r} ${way * r}` : ''
  const back = r ? `q${r} 0 ${r} ${-way * r}` : ''
  return `M${x} ${foot}v${long}${over}h${width - 2 * r}${back}v${-long}`
}

export const barShape: MarkShape<BarMark> = {
  node: mark => ({ tag: 'path', attributes: { d: `${around(mark, free(mark))}Z` }, paint: 'fill' }),
  origin: ({ negative, lying }) =>
    lying ? { box: 'fill-box', at: negative ? '100% 50%' : '0 50%' } : { box: 'fill-box', at: negative ? '50% 0' : '50% 100%' },
  grows: ({ lying }) => (lying ? 'x' : undefined),
  reach: ({ negative, height, width, lying }) =>
    lying ? { x: negative ? -width : width, y: 0 } : { x: 0, y: negative ? height : -height },
  anchor: ({ x, y, width, height, negative, lying }) =>
    lying ? { x: negative ? x : x + width, y: y + height / 2 } : { x: x + width / 2, y: negative ? y + height : y },
  collapsed: mark =>
    mark.lying
      ? { ...mark, x: mark.negative ? mark.x + mark.width : mark.x, width: 0 }
      : { ...mark, y: mark.negative ? mark.y : mark.y + mark.height, height: 0 },
  between: (a, b, progress) => ({
    ...b,
    negative: (progress < 0.5 ? a : b).negative,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    width: mix(a.width, b.width, progress),
    height: mix(a.height, b.height, progress),
  }),
  outline: mark => around(mark, 0),
}
