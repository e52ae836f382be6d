import { mix, type MarkShape, type TextMark } from './mark'

export const textShape: MarkShape<TextMark> = {
  node: ({ x, y, text, size, weight, display }) => ({
    tag: 'text',
    attributes: { x, y: y + size * 0.35, 'font-size': size, 'font-weight': weight, 'text-anchor': 'middle' },
    paint: 'fill',
    text,
    ...(display ? { display } : {}),
  }),
  origin: ({ x, y }) => ({ box: 'view-box', at: `${x}px ${y}px` }),
  grows: () => 'both',
  reach: () => ({ x: 0, y: 0 }),
  anchor: ({ x, y }) => ({ x, y }),
  collapsed: mark => ({ ...mark, size: 0 }),
  between: (a, b, progress) => ({
    ...b,
    text: progress < 0.5 ? a.text : b.text,
    x: mix(a.x, b.x, progress),
    y: mix(a.y, b.y, progress),
    size: mix(a.size, b.size, progress),
  }),
  outline: () => '',
}
