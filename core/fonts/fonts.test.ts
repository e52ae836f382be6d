import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  covers,
  fallbackFonts,
  familyOfFont,
  familyWith,
  fontFamilies,
  fontPairs,
  holds,
  missingLetters,
  packSpans,
  standInFor,
  unpackSpans,
} from './index'

describe('the families that ship', () => {
  it('are at least 36, of every kind, and all pairs are made of them', () => {
    expect(fontFamilies.length).toBeGreaterThanOrEqual(36)
    expect(new Set(fontFamilies.map(family => family.kind)).size).toBe(6)
    for (const pair of fontPairs) for (const name of [pair.display, pair.body, pair.mono]) expect(familyOfFont(name), name).toBeDefined()
    for (const family of fontFamilies) expect(family.weights.length).toBeGreaterThan(0)
  })

  it('each hold the letters of English, German and French, as their files say', () => {
    for (const family of fontFamilies)
      for (const letter of 'AZaz09äöüßéèçñ.,;:!?–“”')
        expect([family.family, letter, covers(family, letter.codePointAt(0)!)]).toEqual([family.family, letter, true])
  })
})

describe('letters that a family lacks', () => {
  it('are named, with what stands in for them and a family that has them', () => {
    expect(missingLetters('Привет, Velmoor! 🚢', 'Bricolage Grotesque')).toEqual({ stoodIn: ['П', 'р', 'и', 'в', 'е', 'т'], boxes: [] })
    expect(missingLetters('Größe – naïve', 'Inter')).toEqual({ stoodIn: [], boxes: [] })
    expect(standInFor('П'.codePointAt(0)!)).toBe('Noto Sans')
    expect(standInFor('ש'.codePointAt(0)!)).toBe('Noto Sans Hebrew')
    const able = familyWith(['ش', 'م'], 'Inter')!
    expect(covers(able, 'ش'.codePointAt(0)!)).toBe(true)
  })

  it('are boxes where no font that ships has them: Chinese, Japanese, Korean, emoji newer than the font', () => {
    expect(missingLetters('ferry 渡 し 배', 'Inter')).toEqual({ stoodIn: [], boxes: ['渡', 'し', '배'] })
    expect(missingLetters('⚓ 🚢 ☂ → ★ 👨‍👩‍👧 👍🏽 1️⃣', 'Inter').boxes).toEqual([])
    // A code point of the emoji block that no emoji has.
    expect(missingLetters('\u{1FAFF}', 'Inter').boxes).toEqual(['\u{1FAFF}'])
  })

  it('of a family of one’s own are told by what its file holds; where that is not known nothing is said', () => {
    expect(missingLetters('any Привет 渡', 'A family of the team')).toEqual({ stoodIn: [], boxes: [] })
    const own = packSpans(Array.from('any Привет', letter => letter.codePointAt(0)!))
    expect(missingLetters('any Привет 渡 ш', 'A family of the team', own)).toEqual({ stoodIn: ['ш'], boxes: ['渡'] })
  })
})

it('code points are packed and unpacked whole, whatever they are', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 0x10ffff }), { maxLength: 200 }),
      fc.array(fc.integer({ min: 0, max: 0x10ffff }), { maxLength: 50 }),
      (points, others) => {
        const spans = unpackSpans(packSpans(points))
        for (const point of points) expect(holds(spans, point)).toBe(true)
        for (const point of others) expect(holds(spans, point)).toBe(points.includes(point))
      },
    ),
  )
})

it('what stands behind all families never draws plain Latin letters, which each has of its own', () => {
  for (const font of fallbackFonts)
    for (const part of font.parts)
      expect(Math.min(...part.range.split(',').map(span => Number.parseInt(span.slice(2), 16)))).toBeGreaterThan(0xff)
})
