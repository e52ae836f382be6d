import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { houseTheme } from '../layouts'
import { contrast, cssColor, hexOf, readableOn } from './index'

const hex = fc.integer({ min: 0, max: 0xffffff }).map(value => `#${value.toString(16).padStart(6, '0')}`)

describe('colours', () => {
  it('a role follows its palette, with its transparency', () => {
    expect(cssColor({ role: 'accent2' }, houseTheme.palette)).toBe('#e6a037')
    expect(cssColor({ role: 'accent2', alpha: 0.5 }, houseTheme.palette)).toBe('rgba(230, 160, 55, 0.5)')
  })

  it('a tint goes towards white or black, and stays a colour that a screen can show', () => {
    fc.assert(fc.property(hex, fc.double({ min: -1, max: 1, noNaN: true }), (base, tint) => {
      const palette = { ...houseTheme.palette, accent1: base }
      const made = hexOf({ role: 'accent1', tint }, palette)
      expect(made).toMatch(/^#[0-9a-f]{6}$/)
      if (tint > 0.3) expect(contrast(made, '#000000')).toBeGreaterThanOrEqual(contrast(base, '#000000') - 0.3)
      if (tint < -0.3) expect(contrast(made, '#ffffff')).toBeGreaterThanOrEqual(contrast(base, '#ffffff') - 0.3)
    }))
  })

  it('black on white is 21 to 1, and what reads on a ground is the stronger of ink and ground', () => {
    expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5)
    expect(readableOn('#102020', houseTheme.palette)).toBe('ground')
    expect(readableOn('#fafafa', houseTheme.palette)).toBe('ink')
  })
})
