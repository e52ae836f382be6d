import { picturePlace, textPlace, type LayoutFamily } from './family'

/** A picture across the upper half, words beneath. */
export const pictureBand: LayoutFamily = {
  name: 'picture-band',
  label: 'Picture above words',
  senses: ['pictures', 'statement'],
  finds: 'photo image banner across top wide panorama',
  bare: true,
  content: 'lines',
  best: [0, 3],
  closesTo: 'statement',
  places: ({ theme, size }) => [
    picturePlace('picture', 'Picture', { x: 0, y: 0, width: size.width, height: size.height * 0.52 }),
    textPlace(
      'title',
      'Title',
      'heading',
      { x: theme.margin, y: size.height * 0.56, width: size.width - 2 * theme.margin, height: size.height * 0.12 },
      { vertical: 'middle', prompt: 'What the picture shows' },
    ),
    textPlace(
      'body',
      'Words',
      'body',
      { x: theme.margin, y: size.height * 0.69, width: size.width - 2 * theme.margin, height: size.height * 0.31 - theme.margin * 0.8 },
      { prompt: 'What to say of it' },
    ),
  ],
}
