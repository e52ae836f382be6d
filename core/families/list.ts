import { below, headTitle, textPlace, type LayoutFamily } from './family'

/** Points one under the other. */
export const list: LayoutFamily = {
  name: 'list',
  label: 'List',
  senses: ['list', 'points', 'next', 'agenda'],
  finds: 'bullets points lines text',
  content: 'lines',
  best: [1, 7],
  places: room => [headTitle(room), textPlace('body', 'List', 'body', below(room), { prompt: 'What stands on it, a line each' })],
}
