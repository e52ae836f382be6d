import type { Backdrop } from '../model'

type Texture = NonNullable<Backdrop['texture']>

/** Side of the square that a texture repeats in, px of deck space. */
export const textureSide = 480

/** Noise by frequency across and down, octaves and seed; how strongly it is laid on. */
const weaves: Readonly<Record<Texture['kind'], readonly { across: number; down: number; octaves: number; seed: number; gain: number }[]>> =
  {
    paper: [
      { across: 0.035, down: 0.035, octaves: 5, seed: 7, gain: 0.34 },
      { across: 0.8, down: 0.8, octaves: 2, seed: 11, gain: 0.2 },
    ],
    linen: [
      { across: 0.012, down: 0.55, octaves: 3, seed: 3, gain: 0.4 },
      { across: 0.55, down: 0.012, octaves: 3, seed: 5, gain: 0.4 },
    ],
    chalkboard: [
      { across: 0.006, down: 0.018, octaves: 4, seed: 13, gain: 0.7 },
      { across: 0.9, down: 0.5, octaves: 2, seed: 17, gain: 0.16 },
    ],
    grain: [{ across: 0.85, down: 0.85, octaves: 3, seed: 23, gain: 0.55 }],
  }

/**
 * A texture as an SVG picture that repeats without a seam, `textureSide` px square: noise (SVG 2, feTurbulence, seeded)
 * turned into the transparency of one colour. `strength` 0 to 1; `dark` says whether the ground is deep.
 */
export function textureSvg({ kind, strength }: Texture, dark: boolean): string {
  const side = textureSide
  const value = dark ? 1 : 0
  const layers = weaves[kind].map(({ across, down, octaves, seed, gain }, index) => {
    const alpha = (gain * strength * 1.6).toFixed(3)
    return (
      `<filter id="w${index}" x="0" y="0" width="100%" height="100%" color-interpolation-filters="sRGB"><feTurbulence ` +
      `type="fractalNoise" baseFrequency="${across} ${down}" numOctaves="${octaves}" seed="${seed}" stitchTiles="stitch"/>` +
      (`<feColorMatrix values="0 0 0 0 ${value} 0 0 0 0 ${value} 0 0 0 0 ${value} ${alpha} 0 0 0 ` +
        `${(-0.32 * Number(alpha)).toFixed(3)}"/></filter><rect width="${side}" height="${side}" filter="url(#w${index})"/>`)
    )
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${side}" height="${side}">${layers.join('')}</svg>`
}
