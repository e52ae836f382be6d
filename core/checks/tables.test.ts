import { describe, expect, it } from 'vitest'
import type { DataTable } from '../data'
import { newChart } from '../charts'
import { applyChanges, putRecord, setRecord, slidesOf, type Amount, type ChartSpec, type Deck, type Element } from '../model'
import { countingContext, freshDeck, timingContext } from '../testing'
import { addState } from '../timing'
import { checkDeck } from './index'

const field = (x: number) => `POLYGON((${x} 44,${x + 1} 44,${x + 1} 45,${x} 45,${x} 44))`
const map: DataTable = {
  id: 'bay',
  name: 'bay.geojson',
  columns: [
    { name: 'parish', type: 'text', kind: 'place', values: ['Quill', 'Harrow'] },
    { name: 'outline', type: 'text', kind: 'outline', values: [field(0), field(1)] },
  ],
}
const cards: DataTable = {
  id: 'cards',
  name: 'cards.csv',
  columns: [
    { name: 'parish', type: 'text', values: ['Quill', 'Harow'] },
    { name: 'cards', type: 'number', values: [4, 3] },
  ],
}
const deckWith = (chart: Partial<ChartSpec>): Deck => {
  const deck = freshDeck()
  const element = {
    id: 'chart',
    owner: slidesOf(deck)[0]!.id,
    kind: 'chart',
    name: 'Cards',
    order: 'z',
    box: { x: 100, y: 300, width: 1600, height: 600, angle: 0 },
    chart: { ...newChart('cards'), kind: 'map-areas', map: 'bay', across: 'parish', height: 'cards', ...chart },
  } as Element
  return applyChanges(deck, [putRecord('elements', element)])
}
const said = (deck: Deck, rule: string, tables: readonly DataTable[] = [map, cards]) =>
  checkDeck(deck, { ...timingContext, table: id => tables.find(table => table.id === id) })
    .filter(finding => finding.rule === rule)
    .map(({ message }) => message)

describe('what a map does not show', () => {
  const notThere = '“Cards”: “Harow” (is it Harrow?) is not on this map.'
  it('is said once, whichever of its states say it', () => {
    const deck = deckWith({})
    const spec = { ...newChart('cards'), kind: 'map-areas', map: 'bay', across: 'parish', height: 'cards' }
    const lost = { ...spec, options: { camera: 'place', on: 'Astrel' } }
    const told = applyChanges(deck, addState(deck, { element: 'chart', spec: lost }, countingContext('s')))
    expect(said(deck, 'chart-notes')).toEqual([notThere])
    expect(said(told, 'chart-notes')).toEqual([notThere, '“Cards”: “Astrel”, which the camera should be on, is not on this map.'])
  })
  it('is all of it where the map itself is gone', () => {
    expect(said(deckWith({}), 'empty', [cards])).toContain('“Cards” is drawn on a map that is gone. Choose another one under Map.')
    expect(said(deckWith({ kind: 'bar' }), 'empty', [cards]).join()).not.toContain('map')
  })
})

describe('numbers of tables', () => {
  const amount: Amount = { table: 'cards', column: 'cards', find: 'sum', format: { decimals: null, scale: 'none', prefix: '', suffix: '' } }
  const withAmount = (of: Amount): Deck => {
    const deck = freshDeck()
    const title = Object.values(deck.elements).find(element => element.owner === slidesOf(deck)[0]!.id && element.kind === 'text')!
    const content = [{ type: 'text' as const, text: '7', marks: [{ type: 'amount' as const, attrs: { of } }] }]
    return applyChanges(deck, [setRecord('elements', title.id, { text: { type: 'doc', content: [{ type: 'paragraph', content }] } })])
  }
  it('that their tables still hold are no finding', () => expect(said(withAmount(amount), 'amount-gone')).toEqual([]))
  it('that a table holds no more, or that is gone itself, are said', () => {
    const gone = withAmount({ ...amount, column: 'riders' })
    expect(said(gone, 'amount-gone')[0]).toMatch(/has a number of “riders” from “cards\.csv”, which holds none now/)
    expect(said(withAmount(amount), 'amount-gone', [])[0]).toMatch(/has a number of a table that is gone/)
  })
  it('of a slide for rows are said where its table is gone: it plays once', () => {
    const deck = freshDeck()
    const rows = applyChanges(deck, [setRecord('slides', slidesOf(deck)[0]!.id, { rows: { table: 'cards' } })])
    expect(said(rows, 'amount-gone')).toEqual([])
    expect(said(rows, 'amount-gone', [])).toEqual([
      'The slide is there for each row of a table that is gone: it plays once. Choose another table.',
    ])
  })
})
