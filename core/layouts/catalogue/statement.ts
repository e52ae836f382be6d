import { linesIn, textPlace, type LayoutFamily, type LayoutRoom } from './family'

const places = ({ theme, size }: LayoutRoom) => [
  textPlace('title', 'Statement', 'title', { x: theme.margin, y: size.height * 0.2, width: size.width - 2 * theme.margin, height: size.height * 0.36 }, { vertical: 'bottom', prompt: 'One thing to remember' }),
  textPlace('body', 'Beneath it', 'subtitle', { x: theme.margin, y: size.height * 0.6, width: size.width - 2 * theme.margin, height: size.height * 0.24 }, { prompt: 'What supports it' }),
]

/** One thing, said large. */
export const statement: LayoutFamily = { name: 'statement', label: 'One statement', places, items: room => linesIn(places(room)[1]!, room.theme) }
