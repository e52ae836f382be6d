import { memoByRecords } from '../values'
import { contrast } from './contrast'
import type { Palette } from './palette'

/**
 * A palette as it is seen on a ground (#rrggbb): where the ground's own role reads better on it than ink does, the two
 * change places, so that a style's ink is read on a deep slide as on a light one. The very same palette where not.
 */
export const paletteOn = memoByRecords(
  (palette: Palette, ground: string) => [palette, ground],
  (palette, ground): Palette =>
    contrast(palette.ground, ground) > contrast(palette.ink, ground) ? { ...palette, ink: palette.ground, ground: palette.ink } : palette,
  { keep: 400 },
)
