import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDeck, freshDeck, seasons } from '../testing'
import { deckFileLimits, packDeck, unpackDeck } from './deck-file'
import { outlineLineLimit, readOutline, writeMarkdown } from './outline'

const packed = (deck = freshDeck()) => packDeck({ deck, tables: [seasons], media: [] })

describe('a deck file', () => {
  it('gives back exactly what was packed, and the same deck always makes the same bytes', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const plain = JSON.parse(JSON.stringify(deck))
        const read = unpackDeck(packed(deck))
        expect(read.ok && read.value.deck).toEqual(plain)
        expect(read.ok && read.value.tables).toEqual([seasons])
        expect(packed(plain)).toEqual(packed(deck))
      }),
      { numRuns: 15 },
    )
  })

  it.each([
    ['cut in half', () => packed().slice(0, 900), /damaged/],
    ['no zip at all', () => strToU8('a letter to the harbour'), /damaged/],
    ['a zip of something else', () => zipSync({ 'readme.txt': strToU8('hello') }), /no deck\.json/],
    ['a deck.json that breaks off', () => zipSync({ 'deck.json': strToU8('{"info":') }), /not whole/],
    [
      'a newer version',
      () => zipSync({ 'deck.json': strToU8(JSON.stringify({ ...freshDeck(), info: { info: { ...freshDeck().info.info, format: 99 } } })) }),
      /newer Hailbank/,
    ],
    [
      'a damaged table',
      () => zipSync({ 'deck.json': strToU8(JSON.stringify(freshDeck())), 'tables/x.json': strToU8('{}') }),
      /table tables\/x\.json/,
    ],
    [
      'too many parts',
      () => zipSync(Object.fromEntries(Array.from({ length: deckFileLimits.entries + 5 }, (_, index) => [`${index}`, new Uint8Array()]))),
      /more than 20000 parts/,
    ],
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
    fc.assert(
      fc.property(fc.nat(whole.length - 1), fc.nat(255), (at, value) => {
        const damaged = whole.slice()
        damaged[at] = value
        const read = unpackDeck(damaged)
        expect(read.ok || read.message.length > 10).toBe(true)
      }),
      { numRuns: 150 },
    )
  })
})

const read = (text: string, name?: string) => {
  const outcome = readOutline(text, name)
  return outcome.ok ? outcome.value.slides : []
}

describe('a pasted outline', () => {
  it('of Markdown with two ranks of headings has chapters, and quoted lines are notes', () => {
    const slides = read(
      '# Boats\n## Old\n- **Astrel** and [Quill](https://x.example)\n> say it slowly\n## New\n# Money\n## Fares\n## Costs\n## Sums',
    )
    expect(slides.map(slide => [slide.chapter, slide.title])).toEqual([
      ['Boats', 'Old'],
      [undefined, 'New'],
      ['Money', 'Fares'],
      [undefined, 'Costs'],
      [undefined, 'Sums'],
    ])
    expect(slides[0]).toMatchObject({ lines: [{ text: 'Astrel and Quill', level: 1 }], notes: 'say it slowly' })
    expect(read(writeMarkdown(slides))).toEqual(slides)
  })

  it('of rows takes the first cell as title, and what the head row names', () => {
    expect(read('Astrel\thourly\t38 min\nQuill\tevery two hours\t52 min')[1]).toEqual({
      title: 'Quill',
      lines: [
        { text: 'every two hours', level: 1 },
        { text: '52 min', level: 1 },
      ],
    })
    const slides = read('title;price;notes;chapter\n"Day pass; adult";9;say it;Fares\nSeason pass;180;;Fares', 'fares.csv')
    expect(slides).toEqual([
      { title: 'Day pass; adult', lines: [{ text: 'price: 9', level: 1 }], notes: 'say it', chapter: 'Fares' },
      { title: 'Season pass', lines: [{ text: 'price: 180', level: 1 }] },
    ])
  })

  it('of OPML takes outlines within outlines, and refuses entities and damage with a sentence', () => {
    const opml =
      '<?xml version="1.0"?><opml version="2.0"><body><outline text="Boats &amp; quays" _note="slowly"><outline ' +
      'text="Astrel"><outline text="hourly"/></outline></outline></body></opml>'
    expect(read(opml)).toEqual([
      {
        title: 'Boats & quays',
        lines: [
          { text: 'Astrel', level: 1 },
          { text: 'hourly', level: 2 },
        ],
        notes: 'slowly',
      },
    ])
    for (const bad of ['<opml><body><outline text="a"></body></opml>', '<!DOCTYPE x [<!ENTITY a "b">]><opml><body/></opml>']) {
      const outcome = readOutline(bad, 'plan.opml')
      expect(outcome.ok === false && outcome.message).toMatch(/^This OPML file .*\.$/)
    }
  })

  it('of too many lines says how many it left out', () => {
    const outcome = readOutline(Array.from({ length: outlineLineLimit + 7 }, (_, index) => `Line ${index}`).join('\n'))
    expect(outcome.ok && outcome.value.slides.length).toBe(outlineLineLimit)
    expect(outcome.ok && outcome.value.notes[0]).toContain('7 more were left out')
    expect(read('x'.repeat(20_000))[0]!.title).toHaveLength(10_000)
  })

  it('makes a slide of each line, and puts indented lines on it', () => {
    expect(read('One\n\tsub\n\t\tdeep\nTwo\n  sub')).toEqual([
      {
        title: 'One',
        lines: [
          { text: 'sub', level: 1 },
          { text: 'deep', level: 2 },
        ],
      },
      { title: 'Two', lines: [{ text: 'sub', level: 1 }] },
    ])
  })

  it('understands bullets, numbers and Markdown headings', () => {
    expect(read('# One\n- a\n- b\n\ntext\n## Two')).toEqual([
      {
        title: 'One',
        lines: [
          { text: 'a', level: 1 },
          { text: 'b', level: 1 },
          { text: 'text', level: 1 },
        ],
      },
      { title: 'Two', lines: [] },
    ])
    expect(read('Plan\n1. first\n2) second')[0]!.lines.map(line => line.text)).toEqual(['first', 'second'])
  })

  it('keeps every word of any lines', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(4), fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8})?$/)), { minLength: 1, maxLength: 30 }),
        lines => {
          const slides = read(lines.map(([depth, words]) => '\t'.repeat(depth) + words).join('\r\n'))
          expect(slides.flatMap(slide => [slide.title, ...slide.lines.map(line => line.text)])).toEqual(lines.map(([, words]) => words))
        },
      ),
    )
  })
})
