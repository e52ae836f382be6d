import { textPlace, type LayoutFamily } from './family'

/** Opens a chapter: its name beside a bar of colour. */
export const chapter: LayoutFamily = {
  name: 'chapter',
  label: 'Chapter',
  senses: ['chapter', 'opening'],
  finds: 'section divider part next topic pause',
  content: 'lines',
  best: [0, 2],
  ground: { role: 'accent1', tint: -0.35 },
  places: ({ theme, size }) => [
    {
      kind: 'shape',
      placeholder: 'frame-bar',
      name: 'Bar',
      shape: 'rectangle',
      fill: { role: 'accent2' },
      box: { x: theme.margin, y: size.height * 0.3, width: 14, height: size.height * 0.4, angle: 0 },
    },
    textPlace(
      'title',
      'Title',
      'title',
      { x: theme.margin + 70, y: size.height * 0.3, width: size.width - 2 * theme.margin - 70, height: size.height * 0.24 },
      { vertical: 'middle', prompt: 'What this chapter is about' },
    ),
    textPlace(
      'body',
      'Beneath it',
      'subtitle',
      { x: theme.margin + 70, y: size.height * 0.56, width: size.width - 2 * theme.margin - 70, height: size.height * 0.14 },
      { prompt: 'What comes in it' },
    ),
  ],
}
