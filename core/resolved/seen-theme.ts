import { memoByRecords } from '../values'
import { paletteOn, type Palette } from '../color'
import { themeComposing } from '../looks'
import { deckTheme, type Deck, type Layout, type Theme } from '../model'

/** The theme of a layout's slides: its master's own or the deck's, as the layout's look composes it. */
export const themeOfLayout = (deck: Deck, layout: Layout | undefined): Theme =>
  themeComposing(deck.masters[layout?.master ?? '']?.theme ?? deckTheme(deck), layout)

/** A theme with its palette as it is seen on a ground (#rrggbb): on a deep one, ink and ground change places. */
export function themeOn(theme: Theme, ground: string): Theme {
  const palette = paletteOn(theme.palette, ground)
  return palette === theme.palette ? theme : withPalette(theme, palette)
}

const withPalette = memoByRecords(
  (theme: Theme, palette: Palette) => [theme, palette],
  (theme, palette): Theme => ({ ...theme, palette }),
  { keep: 100 },
)
