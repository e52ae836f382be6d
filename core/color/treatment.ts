import { modeRgb, useMode as define } from 'culori/fn'
import type { Treatment } from '../model'
import { contrast as ratio } from './contrast'
import { hexOf, type Palette } from './palette'

const rgb = define(modeRgb)
type Rgb = NonNullable<ReturnType<typeof rgb>>

/** Luma of sRGB values by ITU-R BT.709, as saturation of CSS filters reckons it. */
const [red, green, blue] = [0.2126, 0.7152, 0.0722]
const identity = [1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 1, 0]

/** The matrix that does first `first` and then `then`; four rows of five, as feColorMatrix has them. */
function after(first: readonly number[], then: readonly number[]): number[] {
  return Array.from({ length: 20 }, (_, index) => {
    const [row, column] = [Math.floor(index / 5), index % 5]
    let sum = column === 4 ? then[row * 5 + 4]! : 0
    for (let k = 0; k < 4; k++) sum += then[row * 5 + k]! * first[k * 5 + column]!
    return sum
  })
}

const scaled = (r: number, g: number, b: number, shift = 0) => [r, 0, 0, 0, shift, 0, g, 0, 0, shift, 0, 0, b, 0, shift, 0, 0, 0, 1, 0]

/** Saturation by Filter Effects 1, `saturate`. */
const saturated = (s: number) => [
  red + (1 - red) * s,
  green - green * s,
  blue - blue * s,
  0,
  0,
  red - red * s,
  green + (1 - green) * s,
  blue - blue * s,
  0,
  0,
  red - red * s,
  green - green * s,
  blue + (1 - blue) * s,
  0,
  0,
  0,
  0,
  0,
  1,
  0,
]

/**
 * What a treatment does to each pixel as a colour matrix over sRGB values 0 to 1 (four rows of five): light, contrast
 * about the middle grey, colour, warmth, and last the two tones between which grey is spread. Null where it leaves them.
 */
export function colorMatrix(treatment: Treatment | null | undefined, palette: Palette): number[] | null {
  if (!treatment) return null
  const { light = 1, contrast = 1, colour = 1, warmth = 0, twoTone } = treatment
  if (light === 1 && contrast === 1 && colour === 1 && !warmth && !twoTone) return null
  let matrix = identity
  if (light !== 1) matrix = after(matrix, scaled(light, light, light))
  if (contrast !== 1) matrix = after(matrix, scaled(contrast, contrast, contrast, 0.5 - 0.5 * contrast))
  if (colour !== 1) matrix = after(matrix, saturated(colour))
  if (warmth) matrix = after(matrix, scaled(1 + 0.16 * warmth, 1 + 0.03 * warmth, 1 - 0.2 * warmth))
  if (twoTone) {
    const tones = [hexOf(twoTone.dark, palette), hexOf(twoTone.light, palette)]
    // Roles may change places on a deep ground: shadows stay the darker of the two, or the picture would be its own negative.
    const byRole = 'role' in twoTone.dark || 'role' in twoTone.light
    const [dark, bright] = (byRole ? tones.sort((a, b) => ratio(a, '#000000') - ratio(b, '#000000')) : tones).map(hex => rgb(hex)!) as [
      Rgb,
      Rgb,
    ]
    const row = (from: number, to: number) => [red * (to - from), green * (to - from), blue * (to - from), 0, from]
    matrix = after(matrix, [...row(dark.r, bright.r), ...row(dark.g, bright.g), ...row(dark.b, bright.b), 0, 0, 0, 1, 0])
  }
  return matrix
}

/** A pixel, channels 0 to 255, after a colour matrix. */
export function throughMatrix(matrix: readonly number[], [r, g, b]: readonly [number, number, number]): [number, number, number] {
  const channel = (row: number) => {
    const at = row * 5
    return Math.min(255, Math.max(0, matrix[at]! * r + matrix[at + 1]! * g + matrix[at + 2]! * b + matrix[at + 4]! * 255))
  }
  return [channel(0), channel(1), channel(2)]
}

/** A picture's treatment over that of all pictures of the theme, part by part. */
export const treatmentOf = (own: Treatment | undefined, all: Treatment | undefined): Treatment | null =>
  own || all ? { ...all, ...own } : null

const directions = { left: 'to right', right: 'to left', top: 'to bottom', bottom: 'to top' } as const

/** A linear gradient in CSS that goes from `near` at a side to `far` after a share of the way. */
export const fromSide = (side: keyof typeof directions, share: number, near: string, far: string) =>
  `linear-gradient(${directions[side]}, ${near}, ${far} ${Math.round(share * 1000) / 10}%)`
