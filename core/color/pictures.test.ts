import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { houseTheme } from '../layouts'
import {
  calmestPlace,
  colorDistance,
  colorMatrix,
  dominantColors,
  likenessApart,
  likenessOf,
  paletteOn,
  shadeFor,
  throughMatrix,
  type Raster,
} from './index'

/** A raster whose pixels follow from their place. */
function raster(width: number, height: number, at: (x: number, y: number) => readonly [number, number, number]): Raster {
  const data = new Uint8ClampedArray(width * height * 4)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set([...at(x, y), 255], (y * width + x) * 4)
  return { width, height, data }
}
const grey = fc.integer({ min: 0, max: 255 })

describe('words on a picture', () => {
  it('find the calm part of a busy picture, clear of what is taken', () => {
    const picture = raster(100, 60, (x, y) => (x < 60 ? ((x + y) % 2 ? [250, 250, 250] : [10, 10, 10]) : [20, 24, 30]))
    const place = calmestPlace(picture, { x: 5, y: 5, width: 20, height: 10 }, '#ffffff', { x: 0, y: 0, width: 100, height: 60 })!
    expect(place.x).toBeGreaterThanOrEqual(60)
    const elsewhere = calmestPlace(picture, { x: 5, y: 5, width: 20, height: 10 }, '#ffffff', { x: 0, y: 0, width: 100, height: 60 }, [
      { x: 60, y: 0, width: 40, height: 30 },
    ])!
    expect(elsewhere.y).toBeGreaterThanOrEqual(30)
    expect(calmestPlace(picture, { x: 0, y: 0, width: 200, height: 10 }, '#ffffff', { x: 0, y: 0, width: 100, height: 60 })).toBeNull()
  })

  it('are shaded from the side that they stand nearest to', () => {
    expect(shadeFor({ x: 10, y: 400, width: 300, height: 60 }, { x: 0, y: 0, width: 1600, height: 900 }).side).toBe('left')
    expect(shadeFor({ x: 700, y: 800, width: 300, height: 60 }, { x: 0, y: 0, width: 1600, height: 900 }).side).toBe('bottom')
  })
})

describe('treatments', () => {
  const { palette } = houseTheme
  it('that say nothing leave every pixel as it is', () => {
    expect(colorMatrix({}, palette)).toBeNull()
    expect(colorMatrix({ light: 1, contrast: 1, colour: 1, warmth: 0 }, palette)).toBeNull()
  })
  it('without colour make grey, of two tones make the two roles at black and white', () => {
    const none = colorMatrix({ colour: 0 }, palette)!
    fc.assert(
      fc.property(grey, grey, grey, (r, g, b) => {
        const [x, y, z] = throughMatrix(none, [r, g, b])
        expect(Math.max(x, y, z) - Math.min(x, y, z)).toBeLessThan(0.01)
      }),
    )
    const two = colorMatrix({ twoTone: { dark: { role: 'ink' }, light: { role: 'ground' } } }, palette)!
    const hex = (values: readonly number[]) => `#${values.map(value => Math.round(value).toString(16).padStart(2, '0')).join('')}`
    expect(hex(throughMatrix(two, [0, 0, 0]))).toBe(palette.ink)
    expect(hex(throughMatrix(two, [255, 255, 255]))).toBe(palette.ground)
    // On a deep ground the two roles change places, and the picture stays no negative of itself.
    const deep = paletteOn(palette, '#101418')
    expect(deep.ink).toBe(palette.ground)
    expect(colorMatrix({ twoTone: { dark: { role: 'ink' }, light: { role: 'ground' } } }, deep)).toEqual(two)
  })
})

describe('what a picture is found by', () => {
  it('tells its colours by their shares', () => {
    const [first, second] = dominantColors(raster(40, 40, x => (x < 30 ? [18, 97, 92] : [230, 160, 55])))
    expect(first!.share).toBeCloseTo(0.75, 1)
    expect(first!.hex).toBe('#12615c')
    expect(second!.hex).toBe('#e6a037')
    expect(colorDistance('#12615c', [first!, second!])).toBeLessThan(colorDistance('#7d4a78', [first!, second!]))
    expect(dominantColors({ width: 2, height: 2, data: new Uint8ClampedArray(16) })).toEqual([])
  })
  it('is alike whatever its size, and unlike another', () => {
    const sample = (f: (x: number, y: number) => number) =>
      likenessOf(Array.from({ length: 32 * 32 }, (_, index) => f((index % 32) / 4, Math.floor(index / 32) / 4)))
    const a = sample((x, y) => Math.sin(x * 1.3 + y) * 100)
    expect(
      likenessApart(
        a,
        sample((x, y) => Math.sin(x * 1.3 + y) * 80 + 20),
      ),
    ).toBeLessThan(4)
    expect(
      likenessApart(
        a,
        sample((x, y) => Math.cos(x * 0.4 - y * 2) * 100),
      ),
    ).toBeGreaterThan(10)
  })
})
