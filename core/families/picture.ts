import { below, headTitle, picturePlace, textPlace, type LayoutFamily } from './family'

/** Points beside a picture that fills the other side. */
export const picture: LayoutFamily = {
  name: 'picture',
  label: 'Picture beside a list',
  senses: ['pictures', 'list', 'points'],
  finds: 'photo image picture beside right half',
  content: 'lines',
  best: [0, 5],
  closesTo: 'list',
  pictured: true,
  places: room => {
    const { size, theme } = room
    const half = size.width * 0.44
    const wide = size.width - half - theme.margin - 64
    return [
      headTitle(room, wide),
      textPlace(
        'body',
        'List',
        'body',
        { ...below(room), width: wide },
        {
          vertical: 'middle',
          prompt: 'What stands on it, a line each',
        },
      ),
      picturePlace('picture', 'Picture', { x: size.width - half, y: 0, width: half, height: size.height }),
    ]
  },
}
