import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { linesBelong, partLine, type Split } from './split'

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
