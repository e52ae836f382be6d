import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { paragraphTexts, textOf, type TextDoc } from '../model'
import { chartOfLines, hasRows, leftOutWords, rewritten, tableOfLines, unreadLines, withCells } from './lines'

const columnsOf = (lines: readonly (string | { text: string; level: number })[], language = 'en') =>
  tableOfLines(textOf(lines), language)?.table.columns.map(({ name, kind, values }) => [name, kind, values])

describe('lines as a table', () => {
  it('has a row for each moment with its share', () => {
    expect(columnsOf(['2022 48 %', '2023 61 %', '2024: 70.5 %'])).toEqual([
      ['When', 'date', ['2022', '2023', '2024']],
      ['Share', 'percent', [0.48, 0.61, 0.705]],
    ])
  })
  it('reads names before and behind amounts, multipliers and money, as the language writes them', () => {
    expect(columnsOf(['Astrel: 1.2 million', 'Quill – 900 k'])?.[1]).toEqual(['Amount', 'number', [1_200_000, 900_000]])
    expect(columnsOf(['48 % Norden', '52 % Süden'], 'de')?.[0]).toEqual(['What', 'category', ['Norden', 'Süden']])
    expect(columnsOf(['Kai: 1.250 €', 'Mole: 980,50 €'], 'de')?.[1]).toEqual(['Amount', 'money', [1250, 980.5]])
    expect(columnsOf(['Monday 48 riders', 'Tuesday 52 riders'])?.[1]).toEqual(['riders', 'number', [48, 52]])
  })
  it('leaves a year in a name alone', () => {
    expect(columnsOf(['Season 2030: 12 ferries', 'Season 2031: 14 ferries'])?.[1]![2]).toEqual([12, 14])
  })
  it('has amounts missing that nobody has written, or in another unit, and says which lines those are', () => {
    const text = textOf(['2022 48 %', '2023 not known yet', '2024 12 km', '2025 0 %'])
    expect(tableOfLines(text, 'en')?.table.columns[1]!.values).toEqual([0.48, null, null, 0])
    expect(unreadLines(text, 'en')).toEqual(['2023 not known yet', '2024 12 km'])
  })
  it('leaves a number amid words alone where the other lines have theirs at an end', () => {
    const text = textOf(['Line 1: 310 riders', 'Line 4: 1,240 riders', 'Line 5 not counted'])
    expect(tableOfLines(text, 'en')?.table.columns.map(({ values }) => values)).toEqual([
      ['Line 1', 'Line 4', 'Line 5 not counted'],
      [310, 1240, null],
    ])
    const named = withCells(text, [{ row: 2, column: 'What', value: 'Line 6' }], 'en')
    expect(paragraphTexts(named)[2]).toBe('Line 6')
    expect(columnsOf(['Astrel has 12 boats', 'Quill has 9 boats'])?.[1]![2]).toEqual([12, 9])
  })
  it('names what lines are of where they stand beneath one', () => {
    const lines = ['North', 'South'].flatMap(name => [
      { text: name, level: 1 },
      { text: '2030 4 ferries', level: 2 },
      { text: '2031 6 ferries', level: 2 },
    ])
    expect(columnsOf(lines)).toEqual([
      ['When', 'date', ['2030', '2031', '2030', '2031']],
      ['Of', 'category', ['North', 'North', 'South', 'South']],
      ['ferries', 'number', [4, 6, 4, 6]],
    ])
    expect(chartOfLines(textOf(lines), 'en').series).toBe('Of')
  })
  it('is nothing where nothing is written', () => expect(tableOfLines(textOf(['', ' ']), 'en')).toBeNull())
})

describe('a cell that is changed', () => {
  const changed = (lines: string[], row: number, column: string, value: string | number, language = 'en') =>
    paragraphTexts(withCells(textOf(lines), [{ row, column, value }], language))[row]
  it.each([
    ['2022 48 %', 'Share', 0.52, '2022 52 %', 'en'],
    ['Astrel: 1.2 million', 'Amount', 1_350_000, 'Astrel: 1.35 million', 'en'],
    ['Kai: 1.250 €', 'Amount', 2480.5, 'Kai: 2.480,5 €', 'de'],
    ['€ 12 for the pier', 'Amount', -3, '−€ 3 for the pier', 'en'],
    ['about a third by bus', 'Share', 0.4, 'about 40 % by bus', 'en'],
    ['Bikes: +30 %', 'Share', 0.12, 'Bikes: +12 %', 'en'],
  ])('“%s” becomes its line with only the amount changed', (line, column, value, wanted, language) =>
    expect(changed([line], 0, column, value, language)).toBe(wanted),
  )
  it('takes another name, and keeps the marks of all else', () => {
    const text: TextDoc = {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          attrs: { level: 1 },
          content: [
            { type: 'text', text: 'Pier: ' },
            { type: 'text', text: '48 %', marks: [{ type: 'bold' }] },
          ],
        },
      ],
    }
    const [line] = withCells(text, [{ row: 0, column: 'What', value: 'Old pier' }], 'en').content
    expect(line).toEqual({ ...text.content[0], content: [{ type: 'text', text: 'Old pier: ' }, text.content[0]!.content![1]] })
  })
  it('of what lines stand beneath is written in that line, once for all of them', () => {
    const text = textOf([
      { text: ' North:', level: 1 },
      { text: '2030 4 ferries', level: 2 },
      { text: '2031 6 ferries', level: 2 },
    ])
    const cells = [0, 1].map(row => ({ row, column: 'Of', value: 'The north' }))
    expect(paragraphTexts(withCells(text, cells, 'en'))).toEqual([' The north:', '2030 4 ferries', '2031 6 ferries'])
  })
  it('is read again as what it was changed to', () => {
    const amounts = fc.integer({ min: -999_999_999, max: 999_999_999 }).map(value => value / 100)
    const lines = fc.constantFrom('2022 48', 'Pier: 1.5 million', 'Ferry – € 12', '12 km Coast', 'Boats: 1 200')
    fc.assert(
      fc.property(lines, amounts, fc.constantFrom('en', 'de', 'fr', 'pl'), (line, value, language) => {
        const text = textOf([line])
        const { name } = tableOfLines(text, language)!.table.columns.at(-1)!
        const after = tableOfLines(withCells(text, [{ row: 0, column: name, value }], language), language)!
        const [read] = after.table.columns.at(-1)!.values
        // A million is written to six decimals.
        expect(Math.abs((read as number) - value)).toBeLessThan(/million/.test(line) ? 1 : 0.006)
      }),
    )
  })
})

describe('a chart of lines', () => {
  it('keeps the look of the one that it takes the place of', () => {
    const text = textOf(['2030 4', '2031 6', '2032 9'])
    const before = { ...chartOfLines(text, 'en'), table: 'riders', kind: 'area', color: { role: 'accent2' as const }, height: 'Riders' }
    expect(chartOfLines(text, 'en', before)).toMatchObject({ kind: 'area', color: { role: 'accent2' }, table: null, height: null })
  })
  it('has something to draw once somebody has written a line', () => {
    const chart = chartOfLines(textOf(['']), 'en')
    expect(hasRows({ chart, text: textOf(['']) })).toBe(false)
    expect(hasRows({ chart, text: textOf(['2030 4']) })).toBe(true)
    expect(hasRows({ chart: { ...chart, table: 'riders' } })).toBe(true)
  })
  it('says what it leaves out in a sentence, however much that is', () => {
    expect(leftOutWords([])).toBe('')
    expect(leftOutWords(['a'])).toBe('“a”: it says no amount in the unit of the others. Write it as they are.')
    expect(leftOutWords(['a', 'b', 'c'])).toBe(
      '“a” and 2 more: they say no amount in the unit of the others. Write them as the others are.',
    )
  })
})

describe('lines that are rewritten', () => {
  it('keep their looks, and empty ones go', () => {
    const text = textOf([
      { text: 'Pier 12 %', level: 1 },
      { text: 'Quay 88 %', level: 2 },
    ])
    const next = rewritten(text, ['Quay 88 %', '', 'Dock 3 %'])
    expect(next.content[0]).toBe(text.content[1])
    expect(paragraphTexts(next)).toEqual(['Quay 88 %', 'Dock 3 %'])
    expect(paragraphTexts(rewritten(text, ['']))).toEqual([''])
  })
})
