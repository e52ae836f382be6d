import { textPlace, type LayoutFamily } from './family'

/** One thing, said large. */
export const statement: LayoutFamily = {
  name: 'statement',
  label: 'One statement',
  senses: ['statement', 'saying', 'number'],
  finds: 'message one thing remember promise claim big sentence',
  content: 'lines',
  best: [0, 1],
  places: ({ theme, size }) => [
    textPlace(
      'title',
      'Statement',
      'title',
      { x: theme.margin, y: size.height * 0.2, width: size.width - 2 * theme.margin, height: size.height * 0.36 },
      { vertical: 'bottom', prompt: 'One thing to remember' },
    ),
    textPlace(
      'body',
      'Beneath it',
      'subtitle',
      { x: theme.margin, y: size.height * 0.6, width: size.width - 2 * theme.margin, height: size.height * 0.24 },
      { prompt: 'What supports it' },
    ),
  ],
}
