import { paletteOn } from '../color'
import type { Theme } from '../model'

const seenThemes = new WeakMap<Theme, Map<string, Theme>>()

/** A theme with its palette as it is seen on a ground (#rrggbb): on a deep one, ink and ground change places. */
export function themeOn(theme: Theme, ground: string): Theme {
  const palette = paletteOn(theme.palette, ground)
  if (palette === theme.palette) return theme
  let seen = seenThemes.get(theme)
  if (!seen) seenThemes.set(theme, (seen = new Map()))
  let found = seen.get(ground)
  if (!found) seen.set(ground, (found = { ...theme, palette }))
  return found
}
