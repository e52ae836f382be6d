import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { houseTheme } from '../layouts'
import {
  apartBy,
  carryingText,
  colorsOfPixels,
  contrast,
  cssColor,
  harmonies,
  hexOf,
  nearestReadable,
  paletteFrom,
  paletteFromColors,
  readableOn,
  readColor,
  schemes,
  written,
} from './index'

const hex = fc.integer({ min: 0, max: 0xffffff }).map(value => `#${value.toString(16).padStart(6, '0')}`)

describe('colours', () => {
  it('a role follows its palette, with its transparency', () => {
    expect(cssColor({ role: 'accent2' }, houseTheme.palette)).toBe('#e6a037')
    expect(cssColor({ role: 'accent2', alpha: 0.5 }, houseTheme.palette)).toBe('rgba(230, 160, 55, 0.5)')
  })

  it('a tint goes towards white or black, and stays a colour that a screen can show', () => {
    fc.assert(
      fc.property(hex, fc.double({ min: -1, max: 1, noNaN: true }), (base, tint) => {
        const palette = { ...houseTheme.palette, accent1: base }
        const made = hexOf({ role: 'accent1', tint }, palette)
        expect(made).toMatch(/^#[0-9a-f]{6}$/)
        if (tint > 0.3) expect(contrast(made, '#000000')).toBeGreaterThanOrEqual(contrast(base, '#000000') - 0.3)
        if (tint < -0.3) expect(contrast(made, '#ffffff')).toBeGreaterThanOrEqual(contrast(base, '#ffffff') - 0.3)
      }),
    )
  })

  it('black on white is 21 to 1, and what reads on a ground is the stronger of ink and ground', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5)
    expect(readableOn('#102020', houseTheme.palette)).toBe('ground')
    expect(readableOn('#fafafa', houseTheme.palette)).toBe('ink')
  })
})

describe('palettes', () => {
  it('at least fifty ship, and ink and link are read on the ground of each', () => {
    expect(schemes.length).toBeGreaterThanOrEqual(50)
    expect(new Set(schemes.map(scheme => scheme.name)).size).toBe(schemes.length)
    for (const { name, palette } of schemes) {
      expect(contrast(palette.ink, palette.ground), name).toBeGreaterThanOrEqual(7)
      expect(contrast(palette.link, palette.ground), name).toBeGreaterThanOrEqual(4.5)
    }
  })

  it('from any brand colour keep it as it is, and can be read', () => {
    fc.assert(
      fc.property(
        hex,
        fc.constantFrom(...harmonies.map(harmony => harmony.name)),
        fc.constantFrom('light' as const, 'dark' as const),
        (brand, harmony, ground) => {
          const palette = paletteFrom(brand, harmony, ground)
          expect(palette.accent1).toBe(brand)
          expect(contrast(palette.ink, palette.ground)).toBeGreaterThanOrEqual(7)
          expect(contrast(palette.link, palette.ground)).toBeGreaterThanOrEqual(4.5)
        },
      ),
    )
  })

  it('the nearest readable colour is readable, keeps what is readable already, and keeps its hue', () => {
    fc.assert(
      fc.property(hex, hex, (color, ground) => {
        const nearest = nearestReadable(color, ground)
        expect(contrast(nearest, ground)).toBeGreaterThanOrEqual(4.5)
        if (contrast(color, ground) >= 4.5) expect(nearest).toBe(color)
      }),
    )
    expect(carryingText('#f2b705', '#ffffff')).toMatchObject({ carries: false })
  })

  it('a picture of two colours and grey gives those two first', () => {
    const pixels = new Uint8ClampedArray(3000 * 4).map((_, at) => {
      const color =
        Math.floor(at / 4) % 3 === 0 ? [200, 40, 30, 255] : Math.floor(at / 4) % 3 === 1 ? [20, 90, 160, 255] : [240, 240, 240, 255]
      return color[at % 4]!
    })
    const colors = colorsOfPixels(pixels)
    expect(new Set(colors.slice(0, 2))).toEqual(new Set(['#c8281e', '#145aa0']))
    expect(paletteFromColors(colors).accent1).toBe(colors[0])
  })

  it('colours are read however they are written, and written so that they read back', () => {
    for (const text of ['#12615c', '12615C', 'rgb(18, 97, 92)', '18 97 92', 'rgb(18 97 92)'])
      expect(readColor(text)).toEqual({ ok: true, value: '#12615c' })
    fc.assert(
      fc.property(hex, color => {
        const ways = written(color)
        expect(readColor(ways.rgb)).toEqual({ ok: true, value: color })
        const back = readColor(ways.oklch)
        expect(back.ok && apartBy(back.value, color)).toBeLessThan(0.01)
      }),
    )
    for (const text of ['bluish', '#12', 'url(x)', 'rgb(1 2)']) expect(readColor(text).ok).toBe(false)
  })
})
