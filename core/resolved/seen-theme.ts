import { memoByRecords } from '../values'
import { paletteOn, type Palette } from '../color'
import type { Theme } from '../model'

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
