import { linesIn, textPlace, type LayoutFamily, type LayoutRoom } from './family'

const places = ({ theme, size }: LayoutRoom) => [
  textPlace('title', 'Title', 'title', { x: theme.margin, y: size.height * 0.28, width: size.width - 2 * theme.margin, height: size.height * 0.28 }, { vertical: 'bottom', color: { role: 'ground' }, prompt: 'What the deck is called' }),
  textPlace('body', 'Subtitle', 'subtitle', { x: theme.margin, y: size.height * 0.6, width: size.width - 2 * theme.margin, height: size.height * 0.2 }, { color: { role: 'ground', alpha: 0.85 }, prompt: 'Who speaks, when, to whom' }),
]

/** Opens a deck: its name large on a deep ground. */
export const title: LayoutFamily = {
  name: 'title', label: 'Title', ground: { role: 'accent3', tint: -0.35 }, places, items: room => linesIn(places(room)[1]!, room.theme),
}
