import { picturePlace, textPlace, type LayoutFamily } from './family'

/** One picture on all of the slide, its words on a panel at the foot. */
export const pictureFull: LayoutFamily = {
  name: 'picture-full',
  label: 'Picture, whole slide',
  senses: ['pictures', 'statement', 'opening'],
  finds: 'photo image full background fill',
  content: 'lines',
  best: [0, 2],
  closesTo: 'statement',
  pictured: true,
  places: ({ theme, size }) => {
    const wide = size.width * 0.56
    const panel = { x: theme.margin, y: size.height * 0.62, width: wide, height: size.height * 0.38 - theme.margin }
    const pad = 36
    return [
      picturePlace('picture', 'Picture', { x: 0, y: 0, width: size.width, height: size.height }),
      {
        kind: 'shape',
        placeholder: 'frame-panel',
        name: 'Panel',
        shape: 'rounded',
        radius: 16,
        fill: { role: 'ground' },
        box: { ...panel, angle: 0 },
      },
      textPlace(
        'title',
        'Title',
        'heading',
        { x: panel.x + pad, y: panel.y + pad * 0.6, width: wide - 2 * pad, height: panel.height * 0.38 },
        { vertical: 'middle', prompt: 'What the picture shows' },
      ),
      textPlace(
        'body',
        'Words',
        'body',
        { x: panel.x + pad, y: panel.y + panel.height * 0.5, width: wide - 2 * pad, height: panel.height * 0.5 - pad * 0.5 },
        { size: 36, prompt: 'What to say of it' },
      ),
    ]
  },
}
