import { below, headTitle, type LayoutFamily } from './family'

/** A chart of what the lines say: it is another one as soon as they are, and what is changed in it is changed in them. */
export const chartLines: LayoutFamily = {
  name: 'chart-lines',
  label: 'Chart of these lines',
  senses: ['growth', 'ranking', 'shares', 'figures'],
  finds: 'chart graph bars columns line data table numbers diagram figures statistics trend',
  content: 'lines',
  best: [3, 60],
  trueTo: 'chart',
  places: room => [
    headTitle(room),
    {
      kind: 'chart',
      placeholder: 'body',
      name: 'Chart',
      box: { ...below(room), angle: 0 },
      prompt: 'Lines with amounts, such as “2031 48 %”',
    },
  ],
}
