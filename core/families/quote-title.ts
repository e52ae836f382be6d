import { textPlace, type LayoutFamily } from './family'

/** A saying that is the slide itself, large, and beneath it who said it. */
export const quoteTitle: LayoutFamily = {
  name: 'quote-title',
  label: 'Saying, whole slide',
  senses: ['saying', 'statement'],
  finds: 'quote quotation voice said words of large whole',
  bare: true,
  content: 'lines',
  best: [0, 2],
  places: ({ theme, size }) => {
    const left = theme.margin + 70
    const width = size.width - theme.margin - left
    return [
      {
        kind: 'shape',
        placeholder: 'frame-bar',
        name: 'Bar',
        shape: 'rectangle',
        fill: { role: 'accent2' },
        box: { x: theme.margin, y: size.height * 0.24, width: 12, height: size.height * 0.52, angle: 0 },
      },
      textPlace(
        'title',
        'Saying',
        'quote',
        { x: left, y: size.height * 0.24, width, height: size.height * 0.36 },
        { vertical: 'middle', size: Math.round((theme.textStyles.quote?.size ?? 60) * 1.3), prompt: 'What was said' },
      ),
      textPlace(
        'body',
        'Who said it',
        'subtitle',
        { x: left, y: size.height * 0.63, width, height: size.height * 0.13 },
        { prompt: 'Who said it' },
      ),
    ]
  },
}
