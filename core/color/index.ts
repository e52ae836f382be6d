import { clampChroma, formatHex, formatRgb, modeLrgb, modeOklab, modeOklch, modeRgb, useMode as define, wcagContrast } from 'culori/fn'
import type { Color, Role, Theme } from '../deck'

define(modeOklab)
define(modeLrgb)
const oklch = define(modeOklch)
const rgb = define(modeRgb)

export type Palette = Theme['palette']

/** The value of a colour as #rrggbb, without its transparency. `tint` moves OKLCH lightness towards white or black in proportion. */
export function hexOf(color: Color, palette: Palette): string {
  if ('hex' in color) return color.hex
  const base = palette[color.role]
  if (!color.tint) return base
  const known = oklch(base)!
  const lightness = color.tint > 0 ? known.l + (1 - known.l) * color.tint : known.l * (1 + color.tint)
  const chroma = known.c * (1 - Math.abs(color.tint) * 0.6)
  return formatHex(clampChroma({ ...known, l: lightness, c: chroma }, 'oklch'))
}

/** A colour for CSS, with its transparency. */
export function cssColor(color: Color, palette: Palette): string {
  const hex = hexOf(color, palette)
  return color.alpha === undefined || color.alpha === 1 ? hex : formatRgb({ ...rgb(hex)!, alpha: color.alpha })
}

/** WCAG 2.2 contrast ratio of two values (#rrggbb), 1 to 21. */
export const contrast = (a: string, b: string) => wcagContrast(a, b)

/** The role that reads best on a ground (#rrggbb): ink or ground. */
export const readableOn = (ground: string, palette: Palette): Role => (contrast(palette.ink, ground) >= contrast(palette.ground, ground) ? 'ink' : 'ground')
