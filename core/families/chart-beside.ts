import { below, headTitle, textPlace, type LayoutFamily } from './family'
import { splitAcross } from './geometry'

/** A chart, and beside it what it tells. */
export const chartBeside: LayoutFamily = {
  name: 'chart-beside',
  label: 'Chart beside a list',
  senses: ['figures', 'points'],
  finds: 'graph data with findings explanation conclusions csv',
  content: 'lines',
  best: [1, 5],
  places: room => {
    const [left, right] = splitAcross(below(room), below(room).width * 0.62, 64)
    return [
      headTitle(room),
      { kind: 'chart', placeholder: 'chart', name: 'Chart', box: { ...left, angle: 0 }, prompt: 'Drop a CSV file here' },
      textPlace('body', 'What it tells', 'body', right, { vertical: 'middle', size: 38, prompt: 'What the figures tell' }),
    ]
  },
}
