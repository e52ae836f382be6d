import { contrast } from './contrast'
import type { Palette } from './palette'

const known = new WeakMap<Palette, Map<string, Palette>>()

/**
 * A palette as it is seen on a ground (#rrggbb): where the ground's own role reads better on it than ink does, the two
 * change places, so that a style's ink is read on a deep slide as on a light one. The very same palette where not.
 */
export function paletteOn(palette: Palette, ground: string): Palette {
  let seen = known.get(palette)
  if (!seen) known.set(palette, (seen = new Map()))
  let found = seen.get(ground)
  if (!found) {
    const turned = contrast(palette.ground, ground) > contrast(palette.ink, ground)
    found = turned ? { ...palette, ink: palette.ground, ground: palette.ink } : palette
    seen.set(ground, found)
  }
  return found
}
