import { clampChroma, formatHex, formatRgb, modeLrgb, modeOklab, modeOklch, modeRgb, useMode as define } from 'culori/fn'
import type { Theme } from '../model'
import type { Color, Role } from '../values'
import { contrast } from './contrast'

const oklab = define(modeOklab)
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

/** What a colour looks like over another one (#rrggbb): its transparency mixed in sRGB, as browsers do. */
export function hexOver(color: Color, under: string, palette: Palette): string {
  const hex = hexOf(color, palette)
  if (color.alpha === undefined || color.alpha === 1) return hex
  const [top, beneath] = [rgb(hex)!, rgb(under)!]
  const mix = (a: number, b: number) => a * color.alpha! + b * (1 - color.alpha!)
  return formatHex({ mode: 'rgb', r: mix(top.r, beneath.r), g: mix(top.g, beneath.g), b: mix(top.b, beneath.b) })
}

/** The role that reads best on a ground (#rrggbb): ink or ground. */
export const readableOn = (ground: string, palette: Palette): Role =>
  contrast(palette.ink, ground) >= contrast(palette.ground, ground) ? 'ink' : 'ground'

/** The mean of colours (#rrggbb) in OKLab. */
export function mixHex(colors: readonly string[]): string {
  const points = colors.map(color => oklab(color)!)
  const mean = (of: (point: { l: number; a: number; b: number }) => number) =>
    points.reduce((sum, point) => sum + of(point), 0) / points.length
  return formatHex(clampChroma({ mode: 'oklab', l: mean(p => p.l), a: mean(p => p.a), b: mean(p => p.b) }, 'oklch'))
}
