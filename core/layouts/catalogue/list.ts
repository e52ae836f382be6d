import { below, headTitle, linesIn, textPlace, type LayoutFamily, type LayoutRoom } from './family'

const places = (room: LayoutRoom) => [headTitle(room), textPlace('body', 'List', 'body', below(room), { prompt: 'What stands on it, a line each' })]

/** Points one under the other. */
export const list: LayoutFamily = { name: 'list', label: 'List', places, items: room => linesIn(places(room)[1]!, room.theme) }
