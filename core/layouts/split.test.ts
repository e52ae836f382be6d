import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inlineText, joinInline, sliceInline, type Inline } from '../model'
import type { Split } from '../families'
import { pairs } from './pairing'
import { linesBelong, partLine } from './split'

const lead = (text: string, split: Split) => partLine(text, split)?.lead ?? null

describe('parting a line', () => {
  it.each([
    ['2022 second berth opens', '2022'],
    ['2022–2025: works', '2022–2025'],
    ['2 May: season opens', '2 May'],
    ['March 2026 - drawings', 'March 2026'],
    ['06:10 first boat', '06:10'],
    ['ab 18:30 Musik', 'ab 18:30'],
    ['Q3 2026: works begin', 'Q3 2026'],
    ['Montag: nur Personal', 'Montag'],
    ['30 août : dernier bateau', '30 août'],
    ['05h40 première alerte', '05h40'],
    ['2026-04-02 opening', '2026-04-02'],
    ['Week 3: tests', 'Week 3'],
  ])('finds the moment of “%s”', (text, moment) => expect(lead(text, 'date')).toBe(moment))

  it.each([
    ['42 % commuters', '42 %'],
    ['1,412,000 passengers', '1,412,000'],
    ['Crews: 51 %', '51 %'],
    ['€ 4.1 million for the hall', '€ 4.1 million'],
    ['Passengers: 1.4 million', '1.4 million'],
    ['96 % of all sailings', '96 %'],
    ['1 412 000 passagers', '1 412 000'],
  ])('finds the amount of “%s”', (text, amount) => expect(lead(text, 'number')).toBe(amount))

  it.each([
    ['Port Harrow moves to berth 2', 'number'],
    ['Astrel sails from 06:10', 'number'],
    ['May we come in', 'lead'],
    ['A long sentence of many more words than lead: something', 'lead'],
    ['no question here', 'question'],
  ] as [string, Split][])('leaves “%s” whole', (text, split) => expect(partLine(text, split)).toBeNull())

  it('finds names, questions and sayings', () => {
    expect(lead('Ines Rahm, communications officer', 'person')).toBe('Ines Rahm')
    expect(lead('Are dogs allowed? Yes, on deck.', 'question')).toBe('Are dogs allowed?')
    expect(lead('„Endlich ein Dach.“ – Jon Askelund', 'saying')).toBe('„Endlich ein Dach.“')
    expect(lead('Liv Sorne: “We read the sea.”', 'saying')).toBe('“We read the sea.”')
    expect(linesBelong('Can I bring a bicycle?', 'Yes.', 'question')).toBe(true)
    expect(linesBelong('The sea does not read.', '— Liv Sorne', 'saying')).toBe(true)
    expect(linesBelong('One point', 'Another point', 'question')).toBe(false)
  })

  it('never loses or adds a letter', () => {
    const words = fc
      .array(fc.constantFrom('2022', '12 %', 'Astrel', ':', ' – ', '?', '“yes”', ', ', 'May', '06:10', 'x', '\t', ' ', '1.4', 'million'), {
        minLength: 1,
        maxLength: 9,
      })
      .map(list => list.join(''))
    fc.assert(
      fc.property(
        fc.oneof(words, fc.string()),
        fc.constantFrom<Split>('none', 'lead', 'date', 'number', 'person', 'question', 'saying'),
        (text, split) => {
          const parted = partLine(text, split)
          if (!parted) return
          expect(parted.joint.last ? parted.rest + parted.joint.words + parted.lead : parted.lead + parted.joint.words + parted.rest).toBe(
            text,
          )
        },
      ),
      { numRuns: 2000 },
    )
  })
})

describe('content with its looks', () => {
  const content: fc.Arbitrary<Inline[]> = fc.array(
    fc.record({ type: fc.constant('text' as const), text: fc.string({ minLength: 1, maxLength: 6 }) }, {}),
    { maxLength: 5 },
  )
  it('cut anywhere and put together again says the same', () => {
    fc.assert(
      fc.property(content, fc.nat(30), (inline, at) => {
        expect(inlineText(joinInline(sliceInline(inline, 0, at), sliceInline(inline, at)))).toBe(inlineText(inline))
      }),
    )
  })
})

describe('knowing lines again', () => {
  it('what says the same is the same, whatever came before it', () => {
    expect(pairs(['a', 'b', 'c'], ['x', 'a', 'b', 'c'])).toEqual([null, 0, 1, 2])
    expect(pairs(['a', 'b', 'c'], ['a', 'bb', 'c'])).toEqual([0, 1, 2])
    expect(pairs(['a', 'b', 'c'], ['a', 'c'])).toEqual([0, 2])
    expect(pairs(['a', 'b'], ['b', 'a'])[0]).toBe(1)
  })

  it('no line is two others, and order is kept', () => {
    const lines = fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 9 })
    fc.assert(
      fc.property(lines, lines, (before, after) => {
        const known = pairs(before, after).filter(index => index !== null)
        expect(known).toEqual([...new Set(known)].sort((a, b) => a - b))
        expect(known.every(index => index < before.length)).toBe(true)
      }),
    )
  })
})
