import { describe, expect, it } from 'vitest'
import { newChart, highlightedIn } from '../charts'
import { gathered, type DataTable } from '../data'
import {
  applyChanges,
  elementsOf,
  mediaOf,
  putRecord,
  readDeck,
  slidesOf,
  type Amount,
  type ChartSpec,
  type Deck,
  type Element,
  type TableElement,
  type TextDoc,
} from '../model'
import { freshDeck } from '../testing'
import { amountIn, amountsIn, asPlayed, eachRow, findings, playedSlide, rowsFor, tablesTold, textNow, withAmounts, withRows } from './index'

const table: DataTable = {
  id: 'riders',
  name: 'riders.csv',
  columns: [
    { name: 'route', type: 'text', values: ['Astrel', 'Quill', 'Astrel', 'Quill', 'Harrow'] },
    { name: 'year', type: 'date', grain: 'year', values: ['2031', '2030', '2030', '2031', '2031'] },
    { name: 'riders', type: 'number', values: [1200, 400, 1000, 700, null] },
    { name: 'takings', type: 'number', kind: 'money', unit: '€', values: [12_400, -300, 9000, 8100.5, 40] },
    { name: 'on time', type: 'number', kind: 'percent', values: [0.94, 0.88, 0.9, 0.97, null] },
    { name: 'crossing', type: 'number', kind: 'duration', unit: 's', values: [3900, 3000, 3900, 3000, 2100] },
  ],
}
const format: Amount['format'] = { decimals: null, scale: 'auto', prefix: '', suffix: '' }
const amount = (fields: Partial<Amount>): Amount => ({ table: 'riders', column: 'riders', find: 'sum', format, ...fields })
const words = (fields: Partial<Amount>, row?: number) => amountIn(amount(fields), table, 'en', row)?.words ?? null

describe('a number that a text has from a table', () => {
  it.each<[Amount['find'], string | null]>([
    ['sum', '3,300'],
    ['mean', '825'],
    ['median', '850'],
    ['least', '400'],
    ['most', '1,200'],
    ['count', '5'],
    // By year: 1,400 in 2030, 1,900 in 2031, however the rows stand.
    ['first', '1,400'],
    ['last', '1,900'],
    ['change', '500'],
    ['change-share', '35.7 %'],
    ['change-since-first', '500'],
    ['change-share-since-first', '35.7 %'],
    ['who-most', 'Astrel'],
    ['who-least', 'Quill'],
    ['row', '1,200'],
  ])('says the %s', (find, expected) => expect(words({ find })).toBe(expected))

  it('is every finding that there is', () => {
    for (const { name } of findings) expect(words({ find: name })).not.toBeNull()
  })
  it('draws its course in the words: one dot for the least, four for the most, however many amounts there are', () => {
    const of = (values: (number | null)[]) => {
      const rows: DataTable = { id: 'riders', name: 'r', columns: [{ name: 'riders', type: 'number', values }] }
      return amountIn(amount({ find: 'course' }), rows, 'en')?.words ?? null
    }
    expect(of([10, 20, 30, 40])).toBe('\u28E0\u28FE')
    expect(of([7, null, 7, 7])).toBe('\u28E4\u2844')
    expect([...of(Array.from({ length: 400 }, (_, at) => at))!]).toHaveLength(12)
    expect(of([3])).toBeNull()
  })
  it('counts the rows that are asked for alone', () => {
    const where = { column: 'route', key: 'Quill' }
    expect([words({ where }), words({ where, find: 'count' }), words({ where, find: 'change' })]).toEqual(['1,100', '2', '300'])
    expect(words({ where: { column: 'route', key: 'Nowhere' } })).toBeNull()
    expect(words({ where: { column: 'gone', key: 'Quill' } })).toBeNull()
  })
  it('is written as its column is: money, shares, durations', () => {
    expect([words({ column: 'takings' }), words({ column: 'on time', find: 'mean' }), words({ column: 'crossing', find: 'most' })]).toEqual(
      ['€29.2k', '92.2 %', '1 h 05 min'],
    )
    expect(words({ column: 'takings', find: 'least' })).toBe('−€300')
  })
  it('has its sign always, or never, or words in its place', () => {
    const find = 'change' as const
    expect([words({ find, sign: 'always' }), words({ column: 'takings', find: 'least', sign: 'never' })]).toEqual(['+500', '€300'])
    const said = { more: 'rose by', less: 'fell by', same: 'stayed' }
    expect([words({ find, words: said }), words({ find: 'least', column: 'takings', words: said })]).toEqual(['rose by', 'fell by'])
  })
  it('is nothing where its column is gone, or holds no number', () => {
    expect([words({ column: 'gone' }), words({ column: 'route' }), words({ where: { column: 'route', key: 'Harrow' } })]).toEqual([
      null,
      null,
      null,
    ])
  })
  it('of a row is what that row has, words too', () => {
    expect([words({ find: 'row' }, 3), words({ find: 'row', column: 'route' }, 4), words({ find: 'row', column: 'year' }, 1)]).toEqual([
      '700',
      'Harrow',
      '2030',
    ])
    expect(words({ find: 'row' }, 4)).toBeNull()
  })
})

const textWith = (of: Amount, said = 'old'): TextDoc => ({
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: [
        { type: 'text', text: 'In all ' },
        { type: 'text', text: said, marks: [{ type: 'bold' }, { type: 'amount', attrs: { of } }] },
        { type: 'text', text: ' riders' },
      ],
    },
  ],
})
const nothing = gathered(table, { by: 'route', value: 'riders', aggregate: 'sum', order: 'data' })
const tableOf = (id: string) => (id === 'riders' ? table : undefined)

/** A deck whose first slide’s title has an amount, and maybe rows. */
function deckWith(of: Amount, rows?: object): Deck {
  const deck = freshDeck()
  const [slide] = slidesOf(deck)
  const title = Object.values(deck.elements).find(element => element.owner === slide!.id && element.kind === 'text')!
  return {
    ...deck,
    slides: { ...deck.slides, [slide!.id]: { ...slide!, ...(rows ? { rows: { table: 'riders', ...rows } } : {}) } },
    elements: { ...deck.elements, [title.id]: { ...title, text: textWith(of) } as typeof title },
  }
}
const titles = (deck: Deck) =>
  slidesOf(deck).flatMap(slide =>
    Object.values(deck.elements).flatMap(element =>
      element.owner === slide.id && element.kind === 'text' && amountsIn(element.text).length
        ? [element.text.content[0]!.content!.map(node => (node.type === 'text' ? node.text : '')).join('')]
        : [],
    ),
  )

describe('a deck with such numbers', () => {
  it('says what the table says now, with the look of the words that stood there', () => {
    const deck = deckWith(amount({}))
    expect(titles(withAmounts(deck, tableOf))).toEqual(['In all 3,300 riders'])
    expect(textNow(textWith(amount({})), tableOf, 'de').content[0]!.content![1]).toMatchObject({
      text: '3.300',
      marks: [{ type: 'bold' }, {}],
    })
    expect(tablesTold(deck)).toEqual(['riders'])
  })
  it('keeps the words that were written where the table is not at hand, and is the very same where nothing is another', () => {
    const deck = deckWith(amount({}))
    expect(withAmounts(deck, () => undefined)).toBe(deck)
    const now = withAmounts(deck, tableOf)
    expect(withAmounts(now, tableOf)).toBe(now)
    const untouched = Object.keys(deck.elements).filter(id => now.elements[id] === deck.elements[id])
    expect(untouched).toHaveLength(Object.keys(deck.elements).length - 1)
  })
  it('stands in a cell of a table too, and in no cell of one whose rows are those of a table of data', () => {
    const base = deckWith(amount({}))
    const cells = [
      ['route', 'riders'],
      ['Quill', '0'],
    ]
    const written = {
      id: 'cells',
      owner: slidesOf(base)[0]!.id,
      name: 'Cells',
      order: 'a9',
      kind: 'table',
      table: null,
      columns: [],
      cells,
      amounts: { '1,1': amount({ where: { column: 'route', key: 'Quill' } }), '7,7': amount({}) },
      box: { x: 0, y: 0, width: 400, height: 300, angle: 0 },
    } as Element
    const deck = applyChanges(base, [putRecord('elements', written)])
    const now = withAmounts(deck, tableOf).elements.cells as TableElement
    expect(now.cells).toEqual([cells[0], ['Quill', '1,100']])
    const linked = applyChanges(deck, [putRecord('elements', { ...written, table: 'riders' } as Element)])
    expect(withAmounts(linked, tableOf).elements.cells).toBe(linked.elements.cells)
    const read = readDeck(JSON.parse(JSON.stringify(deck)))
    expect(read.ok && read.value.deck).toEqual(deck)
  })
  it('is read back as it was written, and a number of no kind is refused', () => {
    const deck = deckWith(amount({ where: { column: 'route', key: 'Quill' } }), { most: 3 })
    const read = readDeck(JSON.parse(JSON.stringify(deck)))
    expect(read.ok && read.value.deck).toEqual(deck)
  })
})

describe('a slide for each row', () => {
  const row = amount({ column: 'route', find: 'row' })
  it('is one for each of the rows asked for, in their order', () => {
    expect(rowsFor({ table: 'riders' }, table)).toEqual([0, 1, 2, 3, 4])
    expect(rowsFor({ table: 'riders', where: { column: 'route', keys: ['Quill', 'Harrow'] } }, table)).toEqual([1, 3, 4])
    expect(rowsFor({ table: 'riders', order: { column: 'riders', way: 'falling' } }, table)).toEqual([0, 2, 3, 1, 4])
    expect(rowsFor({ table: 'riders', order: { column: 'riders', way: 'rising' }, most: 2 }, table)).toEqual([1, 3])
    expect(rowsFor({ table: 'riders', where: { column: 'gone', keys: ['Quill'] } }, table)).toEqual([])
  })
  it('stands in the place of the slide that asks for them, each filled from its row; beats and cues come along', () => {
    const deck = deckWith(row, { where: { column: 'route', keys: ['Quill', 'Harrow'] } })
    const played = asPlayed(deck, tableOf)
    expect(titles(played)).toEqual(['In all Quill riders', 'In all Quill riders', 'In all Harrow riders'])
    expect(slidesOf(played).map(({ id }) => id)).not.toContain(slidesOf(deck)[0]!.id)
    expect(
      slidesOf(played)
        .slice(3)
        .map(({ id }) => id),
    ).toEqual(
      slidesOf(deck)
        .slice(1)
        .map(({ id }) => id),
    )
    const beats = (of: Deck, slide: string) => Object.values(of.beats).filter(beat => beat.slide === slide).length
    expect(beats(played, slidesOf(played)[2]!.id)).toBe(beats(deck, slidesOf(deck)[0]!.id))
    expect(playedSlide(played, slidesOf(deck)[0]!.id)).toBe(slidesOf(played)[0]!.id)
  })
  it('can be there for one row alone, each in a deck of its own; rows that are called alike are one', () => {
    const deck = deckWith(row, { order: { column: 'riders', way: 'falling' } })
    const slide = slidesOf(deck)[0]!.id
    const each = eachRow(deck, slide, tableOf)
    expect(each.map(({ name }) => name)).toEqual(['Astrel', 'Quill', 'Harrow'])
    expect(titles(asPlayed(each[2]!.deck, tableOf))).toEqual(['In all Harrow riders'])
    expect(eachRow(deck, slide, () => undefined)).toEqual([])
    expect(eachRow(deck, slidesOf(deck)[1]?.id ?? 'none', tableOf)).toEqual([])
  })
  it('has the picture of its row where that has one, else the usual one; all of them come along', () => {
    const [usual, harrow] = ['a', 'b'].map(letter => letter.repeat(64)) as [string, string]
    const base = deckWith(row, {})
    const picture = {
      id: 'p',
      owner: slidesOf(base)[0]!.id,
      name: 'Portrait',
      order: 'a9',
      kind: 'picture',
      box: { x: 0, y: 0, width: 400, height: 300, angle: 0 },
      media: usual,
      view: { x: 0.2, y: 0.5, zoom: 2 },
      ofRows: { Harrow: { media: harrow, natural: { width: 800, height: 600 } } },
    } as Element
    const deck = applyChanges(base, [putRecord('elements', picture)])
    const shown = slidesOf(asPlayed(deck, tableOf)).flatMap(slide =>
      elementsOf(asPlayed(deck, tableOf), slide.id).flatMap(element => (element.kind === 'picture' && element.media ? element : [])),
    )
    expect(shown.map(({ media }) => media)).toEqual([usual, usual, usual, usual, harrow])
    expect([shown[0]!.view?.zoom, shown[4]!.view, shown[4]!.natural]).toEqual([2, undefined, { width: 800, height: 600 }])
    expect(mediaOf(deck)).toEqual([usual, harrow])
  })
  it('has the row of its slide highlighted in a chart that asks for it', () => {
    const base = deckWith(row, { where: { column: 'route', keys: ['Quill', 'Harrow'] } })
    const of = (id: string, more: Partial<ChartSpec>) =>
      putRecord('elements', {
        id,
        owner: slidesOf(base)[0]!.id,
        name: id,
        order: id,
        kind: 'chart',
        box: { x: 0, y: 0, width: 400, height: 300, angle: 0 },
        chart: { ...newChart('riders'), highlighted: ['Astrel'], ...more },
      } as Element)
    const played = asPlayed(applyChanges(base, [of('a8', { ofRow: '' }), of('a9', {})]), tableOf)
    const lit = slidesOf(played)
      .slice(0, 3)
      .map(slide =>
        elementsOf(played, slide.id).flatMap(one => (one.kind === 'chart' && one.chart ? [highlightedIn(one.chart, nothing)] : [])),
      )
    expect(lit).toEqual([
      [['Astrel', 'Quill'], ['Astrel']],
      [['Astrel', 'Quill'], ['Astrel']],
      [['Astrel', 'Harrow'], ['Astrel']],
    ])
  })
  it('shows the first of them while it is worked on, and stays as it is where its table is not at hand', () => {
    const deck = deckWith(row, { order: { column: 'riders', way: 'rising' } })
    expect(titles(withAmounts(deck, tableOf))).toEqual(['In all Quill riders'])
    expect(withRows(deck, () => undefined).deck).toBe(deck)
  })
  it('is none where no row counts, and sounds that began with it go on with what is left', () => {
    const deck = deckWith(row, { where: { column: 'route', keys: ['Nowhere'] } })
    expect(slidesOf(asPlayed(deck, tableOf))).toHaveLength(slidesOf(deck).length - 1)
  })
  it('has the same ids each time, so that what plays is found again', () => {
    const deck = deckWith(row, {})
    expect(Object.keys(asPlayed(deck, tableOf).elements)).toEqual(Object.keys(asPlayed({ ...deck }, tableOf).elements))
  })
})
