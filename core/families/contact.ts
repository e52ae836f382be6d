import { textPlace, type LayoutFamily } from './family'

/** Closes a deck: thanks, and how to reach us. */
export const contact: LayoutFamily = {
  name: 'contact',
  label: 'How to reach us',
  senses: ['next', 'opening'],
  finds: 'contact reach thank you questions address telephone mail end closing',
  content: 'lines',
  best: [1, 6],
  ground: { role: 'accent3', tint: -0.35 },
  places: ({ theme, size }) => {
    const half = (size.width - 2 * theme.margin - 96) / 2
    return [
      textPlace(
        'title',
        'Title',
        'title',
        { x: theme.margin, y: size.height * 0.22, width: half, height: size.height * 0.56 },
        { vertical: 'middle', prompt: 'Thanks, or what to do now' },
      ),
      {
        kind: 'shape',
        placeholder: 'frame-rule',
        name: 'Rule',
        shape: 'rectangle',
        fill: { role: 'accent2' },
        box: { x: theme.margin + half + 44, y: size.height * 0.26, width: 8, height: size.height * 0.48, angle: 0 },
      },
      textPlace(
        'body',
        'How to reach us',
        'subtitle',
        { x: theme.margin + half + 96, y: size.height * 0.22, width: half, height: size.height * 0.56 },
        { vertical: 'middle', prompt: 'Telephone, mail, where to find us' },
      ),
    ]
  },
}
