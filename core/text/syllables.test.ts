import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textOf, type TextStyle } from '../model'
import { fitText, setText } from './fit'
import { roughMeasurer, withSyllables } from './measure'
import { breaksIn } from './syllables'

const parts: Readonly<Record<string, readonly string[]>> = {
  hafenverwaltung: ['ha', 'fen', 'ver', 'wal', 'tung'],
  fahrplan: ['fahr', 'plan'],
  ufer: ['ufer'],
}
const measurer = withSyllables(roughMeasurer, (word, language) => (language === 'de' ? parts[word] : undefined))
const fonts = { display: 'Inter', body: 'Inter', mono: 'Inter' }
const style = {
  font: 'body',
  size: 40,
  leastSize: 20,
  weight: 400,
  lineHeight: 1.2,
  letterSpacing: 0,
  paragraphSpacing: 0,
  align: 'left',
} as TextStyle
const linesOf = (words: string, width: number, height = 400) => {
  const layout = fitText(textOf([words]), style, fonts, { width, height }, measurer, 'shrink', 'de')
  return { ...layout, words: layout.lines.map(line => line.runs.map(({ text }) => text).join('')) }
}

describe('a word that no line has room for', () => {
  it('is parted with a hyphen, at the least size or larger', () => {
    const layout = linesOf('Hafenverwaltung', 100)
    expect(layout.words).toEqual(['Hafenver-', 'waltung'])
    expect(layout).toMatchObject({ broken: null, hyphens: 'de', fits: true })
    expect(layout.scale).toBeGreaterThanOrEqual(0.5)
    for (const line of layout.lines) expect(line.width).toBeLessThanOrEqual(100.1)
  })
  it('is parted nowhere while it fits at a size that can be read', () => {
    expect(linesOf('Hafenverwaltung', 160)).toMatchObject({ words: ['Hafenverwaltung'], hyphens: null })
  })
  it('is parted alike in capitals', () => {
    expect(linesOf('HAFENVERWALTUNG', 100).words).toEqual(['HAFENVER-', 'WALTUNG'])
  })
  it('keeps what stands around it, and is one word of its text', () => {
    const layout = linesOf('„Hafenverwaltung“', 100)
    expect(layout.words.join('').replaceAll('-', '')).toBe('„Hafenverwaltung“')
    expect(layout.counts.word).toBe(1)
  })
  it('is parted in no language but its own', () => {
    const room = { width: 100, height: 400 }
    expect(fitText(textOf(['Hafenverwaltung']), style, fonts, room, measurer, 'shrink', 'en').hyphens).toBeNull()
    expect(fitText(textOf(['Hafenverwaltung']), style, fonts, room, measurer).hyphens).toBeNull()
  })
  it('shrinks as before where nobody knows its parts, or one of them has no room', () => {
    expect(linesOf('Unbekannteswort', 100)).toMatchObject({ hyphens: null, broken: null })
    expect(linesOf('Unbekannteswort', 100).scale).toBeLessThan(0.5)
    expect(linesOf('Fahrplan', 34).hyphens).toBeNull()
  })
  it('has none of its parts shorter than can be read, and holds no figures', () => {
    expect(breaksIn('Hafenverwaltung,', 'de', word => parts[word])).toEqual([2, 5, 8, 11])
    expect(breaksIn('(Fahrplan)', 'de', word => parts[word])).toEqual([5])
    expect(breaksIn('A7-Fahrplan', 'de', word => parts[word])).toEqual([])
    expect(breaksIn('Uferweg', 'de', () => ['U', 'fer', 'weg'])).toEqual([4])
    expect(breaksIn('Uferwege', 'de', () => ['Ufer', 'weg', 'e'])).toEqual([4])
  })
  it('loses no letter, wherever it is parted', () => {
    const words = fc.array(fc.constantFrom('ab', 'cde', 'fghi', 'jk'), { minLength: 3, maxLength: 9 })
    fc.assert(
      fc.property(words, fc.integer({ min: 60, max: 400 }), (syllables, width) => {
        const known = withSyllables(roughMeasurer, () => syllables)
        const layout = setText(textOf([`x ${syllables.join('')} y`]), style, fonts, { width, height: 400 }, known, 1, 'de')
        const lines = layout.lines.map(line => line.runs.map(({ text }) => text).join(''))
        expect(lines.join('').replace(/[- ]/g, '')).toBe(`x${syllables.join('')}y`)
        if (layout.broken === null) for (const line of layout.lines) expect(line.width).toBeLessThanOrEqual(width + 0.1)
      }),
    )
  })
})
