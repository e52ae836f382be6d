import { describe, expect, it } from 'vitest'
import { covers, familyOfFont, familyWith, fontFamilies, fontPairs, missingLetters } from './index'

describe('the families that ship', () => {
  it('are at least 36, of every kind, and all pairs are made of them', () => {
    expect(fontFamilies.length).toBeGreaterThanOrEqual(36)
    expect(new Set(fontFamilies.map(family => family.kind)).size).toBe(6)
    for (const pair of fontPairs) for (const name of [pair.display, pair.body, pair.mono]) expect(familyOfFont(name), name).toBeDefined()
    for (const family of fontFamilies) expect(family.weights.length).toBeGreaterThan(0)
  })

  it('name the letters that they lack, and a family that has them', () => {
    expect(missingLetters('Привет, Velmoor! 🚢', 'Bricolage Grotesque')).toEqual(['П', 'р', 'и', 'в', 'е', 'т'])
    expect(missingLetters('Größe – naïve', 'Inter')).toEqual([])
    const able = familyWith(['ش', 'م'], 'Inter')!
    expect(covers(able, 'ش'.codePointAt(0)!)).toBe(true)
    expect(missingLetters('any Привет', 'A family of the team')).toEqual([])
  })
})
