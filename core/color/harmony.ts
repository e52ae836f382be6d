import { clampChroma, differenceEuclidean, formatHex, modeLrgb, modeOklab, modeOklch, modeRgb, useMode as define } from 'culori/fn'
import { heldPalette } from './readable'
import type { Palette } from './palette'

define(modeLrgb)
define(modeRgb)
define(modeOklab)
const oklch = define(modeOklch)

/** Ways that hues go together, as turns of the hue circle (OKLCH, degrees) from the first for accents 2 to 6. */
export const harmonies = [
  { name: 'complement', label: 'Opposite', turns: [180, 0, 180, 30, 210] },
  { name: 'neighbours', label: 'Neighbours', turns: [30, -30, 60, -60, 90] },
  { name: 'thirds', label: 'Thirds', turns: [120, 240, 0, 120, 240] },
  { name: 'split', label: 'Split opposite', turns: [150, 210, 0, 150, 210] },
  { name: 'quarters', label: 'Quarters', turns: [90, 180, 270, 45, 225] },
  { name: 'one', label: 'One hue', turns: [0, 0, 0, 0, 0] },
  { name: 'round', label: 'All round', turns: [60, 120, 180, 240, 300] },
] as const

export type HarmonyName = (typeof harmonies)[number]['name']

const shape = (l: number, c: number, h: number) => formatHex(clampChroma({ mode: 'oklch', l, c, h: ((h % 360) + 360) % 360 }, 'oklch'))

/** Lightness and chroma of accents 2 to 6 against the first: enough apart to be told from each other where hues repeat. */
const steps = [
  { l: 0.14, c: 1 },
  { l: -0.06, c: 0.9 },
  { l: 0.05, c: 0.7 },
  { l: 0.2, c: 0.8 },
  { l: -0.12, c: 0.75 },
] as const

/**
 * A whole palette from one brand colour (#rrggbb), which becomes the first accent as it is. Ground and ink take a breath of
 * its hue; the other accents follow by harmony; ink and link are held so that they can be read.
 */
export function paletteFrom(brand: string, harmony: HarmonyName = 'complement', ground: 'light' | 'dark' = 'light'): Palette {
  const { l, c, h = 0 } = oklch(brand)!
  const chroma = Math.min(0.17, Math.max(0.06, c))
  const { turns } = harmonies.find(known => known.name === harmony) ?? harmonies[0]
  const middle = ground === 'light' ? Math.min(0.6, Math.max(0.4, l)) : Math.min(0.78, Math.max(0.66, l))
  const accents = turns.map((turn, index) => {
    const { l: lighter, c: share } = steps[index]!
    return shape(Math.min(0.86, Math.max(0.32, middle + lighter)), chroma * share, h + turn)
  })
  const tint = Math.min(0.012, c * 0.08)
  return heldPalette({
    ground: ground === 'light' ? shape(0.975, tint, h) : shape(0.2, Math.min(0.03, c * 0.25), h),
    ink: ground === 'light' ? shape(0.24, Math.min(0.03, c * 0.25), h) : shape(0.94, tint, h),
    accent1: brand,
    accent2: accents[0]!,
    accent3: accents[1]!,
    accent4: accents[2]!,
    accent5: accents[3]!,
    accent6: accents[4]!,
    link: brand,
  })
}

const difference = differenceEuclidean('oklab')

/** How much a colour is apart from another, 0 the same, about 0.02 just noticed; distance in OKLab. */
export const apartBy = (a: string, b: string) => difference(a, b)

/**
 * The colours that stand out in a picture, the strongest first: its pixels (RGBA, 4 bytes each, any size) gathered in
 * OKLCH cells, weighted by how often they are there and how full they are; near ones count as one. Transparent pixels and
 * those that are nearly grey are passed over while others are there.
 */
export function colorsOfPixels(pixels: Uint8Array | Uint8ClampedArray, most = 6): string[] {
  const cells = new Map<number, { count: number; r: number; g: number; b: number }>()
  const step = Math.max(1, Math.floor(pixels.length / 4 / 40_000)) * 4
  for (let at = 0; at + 3 < pixels.length; at += step) {
    if (pixels[at + 3]! < 128) continue
    const [r, g, b] = [pixels[at]!, pixels[at + 1]!, pixels[at + 2]!]
    const key = ((r >> 4) << 8) | ((g >> 4) << 4) | (b >> 4)
    const cell = cells.get(key)
    if (cell) {
      cell.count++
      cell.r += r
      cell.g += g
      cell.b += b
    } else cells.set(key, { count: 1, r, g, b })
  }
  const total = [...cells.values()].reduce((sum, cell) => sum + cell.count, 0)
  const weighed = [...cells.values()]
    .map(({ count, r, g, b }) => {
      const hex = formatHex({ mode: 'rgb', r: r / count / 255, g: g / count / 255, b: b / count / 255 })
      const { l, c } = oklch(hex)!
      const vivid = c > 0.03 && l > 0.12 && l < 0.97
      return { hex, weight: (count / total) ** 0.6 * (vivid ? 0.15 + c * 4 : 0.02) }
    })
    .sort((a, b) => b.weight - a.weight)
  const made: string[] = []
  for (const apart of [0.12, 0.07, 0.03]) {
    for (const { hex } of weighed) {
      if (made.length >= most) return made
      if (made.every(other => apartBy(other, hex) > apart)) made.push(hex)
    }
  }
  return made
}

/**
 * A palette from the colours of a picture or logo: the strongest is the first accent, the others follow, what is missing is filled by
 * harmony.
 */
export function paletteFromColors(colors: readonly string[], ground: 'light' | 'dark' = 'light'): Palette {
  const [first = '#1f5f6b', ...others] = colors
  const made = paletteFrom(first, 'round', ground)
  const roles = ['accent2', 'accent3', 'accent4', 'accent5', 'accent6'] as const
  return roles.reduce((palette, role, index) => (others[index] ? { ...palette, [role]: others[index] } : palette), made)
}
