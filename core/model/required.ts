import type { Deck } from './records'
import type { Info } from './records/slide'
import type { Theme } from './records/theme'

// Every deck has both: `deckSchema` asks for them, no edit drops them, and a live document is shown only once they have come.

/** What a deck says of itself. Throws where it is none. */
export function infoOf(deck: Pick<Deck, 'info'>): Info {
  const { info } = deck.info
  if (!info) throw new Error('A deck without its info is none.')
  return info
}

/** The theme of a deck. Throws where it is none. */
export function deckTheme(deck: Pick<Deck, 'theme'>): Theme {
  const { theme } = deck.theme
  if (!theme) throw new Error('A deck without its theme is none.')
  return theme
}
