import { textPlace, type LayoutFamily } from './family'

/** Opens a deck: its name large on a deep ground. */
export const title: LayoutFamily = {
  name: 'title',
  label: 'Title',
  senses: ['opening', 'chapter'],
  finds: 'opening cover start first welcome name of the deck',
  content: 'lines',
  best: [0, 2],
  ground: { role: 'accent3', tint: -0.35 },
  places: ({ theme, size }) => [
    textPlace(
      'title',
      'Title',
      'title',
      { x: theme.margin, y: size.height * 0.28, width: size.width - 2 * theme.margin, height: size.height * 0.28 },
      { vertical: 'bottom', prompt: 'What the deck is called' },
    ),
    textPlace(
      'body',
      'Subtitle',
      'subtitle',
      { x: theme.margin, y: size.height * 0.6, width: size.width - 2 * theme.margin, height: size.height * 0.2 },
      { prompt: 'Who speaks, when, to whom' },
    ),
  ],
}
