import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDeck, freshDeck, seasons } from '../testing'
import { deckFileLimits, packDeck, unpackDeck } from './deck-file'
import { readOutline } from './outline'

const packed = (deck = freshDeck()) => packDeck({ deck, tables: [seasons], media: [] })

describe('a deck file', () => {
  it('gives back exactly what was packed, and the same deck always makes the same bytes', () => {
    fc.assert(fc.property(anyDeck, deck => {
      const plain = JSON.parse(JSON.stringify(deck))
      const read = unpackDeck(packed(deck))
      expect(read.ok && read.value.deck).toEqual(plain)
      expect(read.ok && read.value.tables).toEqual([seasons])
      expect(packed(plain)).toEqual(packed(deck))
    }), { numRuns: 15 })
  })

  it.each([
    ['cut in half', () => packed().slice(0, 900), /damaged/],
    ['no zip at all', () => strToU8('a letter to the harbour'), /damaged/],
    ['a zip of something else', () => zipSync({ 'readme.txt': strToU8('hello') }), /no deck\.json/],
    ['a deck.json that breaks off', () => zipSync({ 'deck.json': strToU8('{"info":') }), /not whole/],
    ['a newer version', () => zipSync({ 'deck.json': strToU8(JSON.stringify({ ...freshDeck(), info: { info: { ...freshDeck().info.info, format: 99 } } })) }), /newer Hailbank/],
    ['a damaged table', () => zipSync({ 'deck.json': strToU8(JSON.stringify(freshDeck())), 'tables/x.json': strToU8('{}') }), /table tables\/x\.json/],
    ['too many parts', () => zipSync(Object.fromEntries(Array.from({ length: deckFileLimits.entries + 5 }, (_, index) => [`${index}`, new Uint8Array()]))), /more than 20000 parts/],
  ])('says in a sentence that it is %s', (_, make, words) => {
    const read = unpackDeck(make())
    expect(!read.ok && read.message).toMatch(words)
  })

  it('refuses a bomb without unpacking it', () => {
    const bomb = zipSync({ 'deck.json': new Uint8Array(deckFileLimits.deck + 1) }, { level: 9 })
    expect(bomb.length).toBeLessThan(1_000_000)
    const read = unpackDeck(bomb)
    expect(!read.ok && read.message).toMatch(/unpack to more than/)
  })

  it('never fails otherwise than with a sentence, whatever is damaged', () => {
    const whole = packed()
    fc.assert(fc.property(fc.nat(whole.length - 1), fc.nat(255), (at, value) => {
      const damaged = whole.slice()
      damaged[at] = value
      const read = unpackDeck(damaged)
      expect(read.ok || read.message.length > 10).toBe(true)
    }), { numRuns: 150 })
  })
})

describe('a pasted outline', () => {
  it('makes a slide of each line, and puts indented lines on it', () => {
    expect(readOutline('One\n\tsub\n\t\tdeep\nTwo\n  sub')).toEqual([
      { title: 'One', lines: [{ text: 'sub', level: 1 }, { text: 'deep', level: 2 }] }, { title: 'Two', lines: [{ text: 'sub', level: 1 }] },
    ])
  })

  it('understands bullets, numbers and Markdown headings', () => {
    expect(readOutline('# One\n- a\n- b\n\ntext\n## Two')).toEqual([
      { title: 'One', lines: [{ text: 'a', level: 1 }, { text: 'b', level: 1 }, { text: 'text', level: 1 }] }, { title: 'Two', lines: [] },
    ])
    expect(readOutline('Plan\n1. first\n2) second')[0]!.lines.map(line => line.text)).toEqual(['first', 'second'])
  })

  it('keeps every word of any lines', () => {
    fc.assert(fc.property(fc.array(fc.tuple(fc.nat(4), fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8})?$/)), { minLength: 1, maxLength: 30 }), lines => {
      const slides = readOutline(lines.map(([depth, words]) => '\t'.repeat(depth) + words).join('\r\n'))
      expect(slides.flatMap(slide => [slide.title, ...slide.lines.map(line => line.text)])).toEqual(lines.map(([, words]) => words))
    }))
  })
})
