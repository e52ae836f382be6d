import { clampChroma, formatHex, modeLrgb, modeOklch, modeRgb, useMode as define } from 'culori/fn'
import { contrast } from './contrast'
import type { Palette } from './palette'

define(modeLrgb)
define(modeRgb)
const oklch = define(modeOklch)

/** WCAG 2.2, 1.4.3: what text and what large text need. */
export const textRatio = 4.5
export const largeTextRatio = 3

const atLightness = (hex: string, lightness: number) => formatHex(clampChroma({ ...oklch(hex)!, l: lightness }, 'oklch'))

/**
 * The colour nearest to another (#rrggbb) that stands out from a ground by a ratio: its hue and, as far as a screen can
 * show it, its chroma stay, its OKLCH lightness moves as little as it takes, by bisection to a thousandth. Black or white
 * where no lightness is enough.
 */
export function nearestReadable(hex: string, ground: string, ratio = textRatio): string {
  if (contrast(hex, ground) >= ratio) return hex
  const { l } = oklch(hex)!
  const towards = (end: number) => {
    if (contrast(atLightness(hex, end), ground) < ratio) return null
    let [near, far] = [l, end]
    while (Math.abs(far - near) > 0.001) {
      const middle = (near + far) / 2
      if (contrast(atLightness(hex, middle), ground) >= ratio) far = middle
      else near = middle
    }
    return { hex: atLightness(hex, far), way: Math.abs(far - l) }
  }
  const [darker, lighter] = [towards(0), towards(1)]
  if (darker && (!lighter || darker.way <= lighter.way)) return darker.hex
  if (lighter) return lighter.hex
  return contrast('#000000', ground) >= contrast('#ffffff', ground) ? '#000000' : '#ffffff'
}

/** A palette in which ink and link can be read on the ground: they move as little as it takes. */
export function heldPalette(palette: Palette): Palette {
  const ink = nearestReadable(palette.ink, palette.ground, 7)
  const link = nearestReadable(palette.link, palette.ground, textRatio)
  return ink === palette.ink && link === palette.link ? palette : { ...palette, ink, link }
}

/** What is to be said of a colour that is to carry text on a ground: whether it can, by how much, and the nearest one that can. */
export function carryingText(hex: string, ground: string): { carries: boolean; ratio: number; nearest: string } {
  const ratio = contrast(hex, ground)
  return { carries: ratio >= textRatio, ratio, nearest: nearestReadable(hex, ground) }
}
