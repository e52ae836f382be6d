import { formatHex, modeOklab, modeRgb, useMode as define } from 'culori/fn'
import type { Raster } from './on-picture'

define(modeRgb)
const oklab = define(modeOklab)

/** A colour and the share of a picture that it has. */
export interface Dominant {
  hex: string
  share: number
}

interface Lab {
  l: number
  a: number
  b: number
}
const apart = (a: Lab, b: Lab) => (a.l - b.l) ** 2 + (a.a - b.a) ** 2 + (a.b - b.b) ** 2

/**
 * The colours that make up a picture, largest share first: its pixels gathered about a few means in OKLab (k-means; the
 * first means are pixels as far apart as can be, so that the same picture always gives the same colours). Pixels that
 * are see-through do not count.
 */
export function dominantColors(raster: Raster, count = 5): Dominant[] {
  const points: Lab[] = []
  const step = Math.max(1, Math.floor((raster.width * raster.height) / 2500))
  for (let index = 0; index < raster.width * raster.height; index += step) {
    const at = index * 4
    if (raster.data[at + 3]! < 128) continue
    const { l, a, b } = oklab({ mode: 'rgb', r: raster.data[at]! / 255, g: raster.data[at + 1]! / 255, b: raster.data[at + 2]! / 255 })!
    points.push({ l, a, b })
  }
  if (!points.length) return []
  const means: Lab[] = [points[0]!]
  while (means.length < count) {
    let [far, best] = [-1, points[0]!]
    for (const point of points) {
      const near = Math.min(...means.map(mean => apart(mean, point)))
      if (near > far) [far, best] = [near, point]
    }
    if (far < 0.0004) break
    means.push(best)
  }
  let shares: number[] = []
  for (let round = 0; round < 8; round++) {
    const sums = means.map(() => ({ l: 0, a: 0, b: 0, n: 0 }))
    for (const point of points) {
      let nearest = 0
      for (let index = 1; index < means.length; index++) if (apart(means[index]!, point) < apart(means[nearest]!, point)) nearest = index
      const sum = sums[nearest]!
      sum.l += point.l
      sum.a += point.a
      sum.b += point.b
      sum.n++
    }
    shares = sums.map(sum => sum.n / points.length)
    sums.forEach((sum, index) => {
      if (sum.n) means[index] = { l: sum.l / sum.n, a: sum.a / sum.n, b: sum.b / sum.n }
    })
  }
  return means
    .map((mean, index) => ({ hex: formatHex({ mode: 'oklab', ...mean }), share: Math.round(shares[index]! * 1000) / 1000 }))
    .filter(color => color.share > 0.004)
    .sort((a, b) => b.share - a.share)
}

/**
 * How far a colour (#rrggbb) is from those of a picture, OKLab distance, less where the picture has more of it; 0 is the very colour all
 * over.
 */
export function colorDistance(hex: string, colors: readonly Dominant[]): number {
  const wanted = oklab(hex)!
  return Math.min(Infinity, ...colors.map(color => Math.sqrt(apart(wanted, oklab(color.hex)!)) + 0.12 * (1 - Math.min(1, color.share * 3))))
}

/** How many bits of two likenesses (16 hex digits) differ, 0 to 64. */
export function likenessApart(a: string, b: string): number {
  let bits = 0
  for (let at = 0; at < 16; at += 8) {
    let left = (Number.parseInt(a.slice(at, at + 8), 16) ^ Number.parseInt(b.slice(at, at + 8), 16)) >>> 0
    for (; left; left &= left - 1) bits++
  }
  return bits
}

/** The side of the grey raster that a likeness is read from, px. */
export const likenessSide = 32

/**
 * What pictures alike have in common, whatever their size and format, of a grey raster of 32 × 32: whether each of its 64
 * slowest waves, across and down, is stronger than the middle one of them (a perceptual hash over the DCT-II; Zauner,
 * 2010), as 16 hex digits. The mean light is left out.
 */
export function likenessOf(grey: ArrayLike<number>): string {
  const side = likenessSide
  const wave = Array.from({ length: 8 }, (_, k) => Array.from({ length: side }, (_, n) => Math.cos((Math.PI * (n + 0.5) * k) / side)))
  const rows = Array.from({ length: side }, (_, y) =>
    wave.map(cosine => cosine.reduce((sum, value, x) => sum + value * grey[y * side + x]!, 0)),
  )
  const strengths = wave.flatMap(cosine =>
    Array.from({ length: 8 }, (_, k) => cosine.reduce((sum, value, y) => sum + value * rows[y]![k]!, 0)),
  )
  strengths[0] = 0
  const middle = [...strengths].sort((a, b) => a - b)[32]!
  let digits = ''
  for (let at = 0; at < 64; at += 4)
    digits += strengths
      .slice(at, at + 4)
      .reduce((bits, value) => (bits << 1) | (value > middle ? 1 : 0), 0)
      .toString(16)
  return digits
}
