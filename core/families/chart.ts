import { below, headTitle, textPlace, type LayoutFamily } from './family'

const caption = 96

/** A chart as wide as the slide, with a caption under it. */
export const chart: LayoutFamily = {
  name: 'chart',
  label: 'Chart with a caption',
  senses: ['figures'],
  finds: 'graph bars data table numbers diagram csv figures',
  content: 'lines',
  best: [0, 2],
  places: room => {
    const area = below(room)
    return [
      headTitle(room),
      {
        kind: 'chart',
        placeholder: 'chart',
        name: 'Chart',
        box: { ...area, height: area.height - caption, angle: 0 },
        prompt: 'Drop a CSV file here',
      },
      textPlace(
        'body',
        'Caption',
        'small',
        { ...area, y: area.y + area.height - caption + 16, height: caption - 16 },
        { prompt: 'What the figures are, and from where' },
      ),
    ]
  },
}
