import { infoOf } from './required'
import { putRecord, setRecord, applyChanges, type Change } from './changes'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { freshDeck, textElement } from '../testing'
import { cleanText, cleanValue, isTooDeep } from './clean'
import { slidesOf } from './groups'
import { fieldLimits, fitChanges, fitRecord, isSound, mostRecords } from './limits'
import { readDeck } from './read'
import type { Deck } from './records'
import { textOf } from './text-doc'

const base = (): Deck => {
  const deck = freshDeck()
  return applyChanges(deck, [putRecord('elements', textElement('words', slidesOf(deck)[0]!.id, ['Quay']))])
}
const slide = slidesOf(base())[0]!.id
const box = (fields: object) => ({ x: 0, y: 0, width: 100, height: 100, angle: 0, ...fields })
const set = (table: 'info' | 'slides' | 'elements', id: string, fields: object): Change => setRecord(table, id, { ...fields })

describe('an edit that goes over a limit', () => {
  it.each([
    ['a title of 301 letters', set('info', 'info', { title: 'x'.repeat(301) }), (deck: Deck) => infoOf(deck).title.length, 300],
    ['a chapter of 201', set('slides', slide, { chapter: 'y'.repeat(201) }), (deck: Deck) => deck.slides[slide]!.chapter!.length, 200],
    ['a left of 150000', set('elements', 'words', { box: box({ x: 150_000 }) }), (deck: Deck) => deck.elements.words!.box!.x, 100_000],
    [
      'a width of 100001',
      set('elements', 'words', { box: box({ width: 100_001 }) }),
      (deck: Deck) => deck.elements.words!.box!.width,
      100_000,
    ],
    ['a width below nothing', set('elements', 'words', { box: box({ width: -3 }) }), (deck: Deck) => deck.elements.words!.box!.width, 0],
  ])('%s is put within it, said, and its record stays', (_, change, read, most) => {
    const fit = fitChanges(base(), [change])
    if (!fit.ok) throw new Error(fit.message)
    expect(fit.value.notes).toHaveLength(1)
    expect(fit.value.notes[0]).toContain(String(most))
    expect(read(applyChanges(base(), fit.value.changes))).toBe(most)
  })

  it('is refused whole where no nearest value is meant, with the place and without half of it', () => {
    const fit = fitChanges(base(), [set('info', 'info', { title: 'fine' }), set('elements', 'words', { opacity: 'half' })])
    expect(fit).toMatchObject({ ok: false, message: expect.stringMatching(/^“words”: opacity .* Nothing was changed\.$/) })
  })

  it('is refused for numbers that are none', () => {
    expect(fitChanges(base(), [set('elements', 'words', { box: box({ x: Number.NaN }) })]).ok).toBe(false)
  })

  it('is refused when a deck has as many records of a kind as it takes', () => {
    const full = {
      ...base(),
      variants: Object.fromEntries(
        Array.from({ length: mostRecords.variants }, (_, index) => [`v${index}`, { id: `v${index}`, order: 'a0', name: 'v' }]),
      ),
    }
    expect(fitChanges(full, [putRecord('variants', { id: 'more', order: 'a1', name: 'more' })])).toMatchObject({
      ok: false,
      message: expect.stringContaining('500 variants'),
    })
  })

  it('never leaves a record that its schema does not know, whatever numbers and texts are wished', () => {
    const wishes = fc.record({
      x: fc.double({ noNaN: true, noDefaultInfinity: true }),
      width: fc.double({ noNaN: true, noDefaultInfinity: true }),
      opacity: fc.double({ min: -5, max: 5, noNaN: true }),
      name: fc.string({ unit: 'binary', maxLength: 400 }),
      words: fc.string({ unit: 'binary', maxLength: 60 }),
    })
    fc.assert(
      fc.property(wishes, ({ x, width, opacity, name, words }) => {
        const fit = fitChanges(base(), [set('elements', 'words', { box: box({ x, width }), opacity, name, text: textOf([words]) })])
        if (!fit.ok) throw new Error(fit.message)
        const next = applyChanges(base(), fit.value.changes)
        expect(isSound('elements', next.elements.words)).toBe(true)
        expect(fitChanges(base(), fit.value.changes)).toEqual({ ok: true, value: { changes: fit.value.changes, notes: [] } })
      }),
    )
  })

  it('keeps the very records that held from the start', () => {
    const { words } = base().elements
    const fit = fitRecord('elements', words)
    expect(fit.ok && fit.value.record).toBe(words)
  })

  it('cuts between letters, never within one', () => {
    const fit = fitRecord('info', { ...infoOf(freshDeck()), title: `${'x'.repeat(299)}😀😀` })
    expect(fit.ok && fit.value.record.title).toBe(`${'x'.repeat(299)}😀`)
  })
})

describe('what no writing system has', () => {
  it('is taken out of texts wherever they stand, and lines stay lines', () => {
    expect(cleanText('Qu\u0000ay\r\nto\u0007wn\ttab\u009F\uD800!')).toBe('Quay\ntown\ttab!')
    expect(cleanValue({ a: ['b\u0000', { c: 'd\uDC00' }], n: 1 })).toEqual({ a: ['b', { c: 'd' }], n: 1 })
    const clean = { a: ['b', { c: '😀' }] }
    expect(cleanValue(clean)).toBe(clean)
  })

  it('leaves every text in a form that a database takes', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), text => {
        const cleaned = cleanText(text)
        expect(cleaned.isWellFormed()).toBe(true)
        expect(cleaned).not.toContain('\u0000')
        expect(cleanText(cleaned)).toBe(cleaned)
      }),
    )
  })
})

describe('reading a deck', () => {
  it('refuses more records than a deck takes, and what nests too deep, in a sentence', () => {
    const many = { ...base(), slides: Object.fromEntries(Array.from({ length: mostRecords.slides + 1 }, (_, index) => [`s${index}`, {}])) }
    expect(readDeck(many)).toMatchObject({ ok: false, message: expect.stringContaining('3000 slides') })
    const deep: unknown = JSON.parse(`${'['.repeat(9000)}${']'.repeat(9000)}`)
    expect(isTooDeep(deep)).toBe(true)
    expect(readDeck({ ...base(), states: { a: deep } })).toMatchObject({ ok: false, message: expect.stringContaining('deeper') })
    expect(isTooDeep(base())).toBe(false)
  })

  it('does not know ids that plain objects have a meaning for', () => {
    expect(isSound('variants', { id: '__proto__', order: 'a0', name: 'v' })).toBe(false)
    expect(isSound('variants', { id: 'constructor', order: 'a0', name: 'v' })).toBe(false)
  })
})

describe('limits of fields', () => {
  it('come from the schema that will judge them', () => {
    expect(fieldLimits('info', 'title')).toEqual({ maxlength: 300 })
    expect(fieldLimits('slides', 'chapter')).toEqual({ maxlength: 200 })
    expect(fieldLimits('elements', 'box', 'x')).toEqual({ min: -100_000, max: 100_000 })
    expect(fieldLimits('cues', 'delay')).toEqual({ min: 0, max: 86_400 })
    expect(() => fieldLimits('info', 'nothing')).toThrow()
  })
})
