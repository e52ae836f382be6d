import { describe, expect, it } from 'vitest'
import type { DataTable } from '../data'
import { slidesOf, type Deck } from '../model'
import { shownElements } from '../resolved'
import { freshDeck, timingContext } from '../testing'
import { newChart } from './catalogue'
import { drawingOfElement } from './element-chart'
import { chartVoices } from './voices'

const tableWith = (id: string, series: string[]): DataTable => ({
  id,
  name: id,
  columns: [
    { name: 'year', type: 'text', values: series.flatMap(() => ['2030', '2031']) },
    { name: 'route', type: 'text', values: series.flatMap(one => [one, one]) },
    { name: 'riders', type: 'number', values: series.flatMap((_, at) => [at + 1, at + 2]) },
  ],
})
const tables = [
  tableWith('one', ['Astrel', 'Quill', 'Harrow']),
  tableWith('two', ['Quill', 'Tern', 'Astrel']),
  tableWith('three', ['Tern', 'Harrow']),
]
const tableOf = (id: string) => tables.find(table => table.id === id)
const spec = (table: string) => ({ ...newChart(table), across: 'year', series: 'route', height: 'riders', kind: 'bar' })

/** A deck with a chart of each table on its first slide. */
function deckOf(...ids: string[]): Deck {
  const deck = freshDeck()
  const [slide] = slidesOf(deck)
  const charts = ids.map((id, at) => ({
    id: `chart-${id}`,
    owner: slide!.id,
    order: `z${at}`,
    name: id,
    kind: 'chart' as const,
    box: { x: 0, y: 0, width: 900, height: 500, rotation: 0 },
    chart: spec(id),
  }))
  return { ...deck, elements: { ...deck.elements, ...Object.fromEntries(charts.map(chart => [chart.id, chart])) } } as Deck
}
const voices = (deck: Deck, id: string) => JSON.parse(chartVoices(deck, spec(id), tableOf(id)!, tableOf)!) as Record<string, number>

describe('what charts of a deck tell apart by colour', () => {
  it('has one colour in all of them, and what is new takes one that is free', () => {
    const deck = deckOf('one', 'two')
    expect(voices(deck, 'one')).toEqual({ Astrel: 0, Quill: 1, Harrow: 2 })
    expect(voices(deck, 'two')).toEqual({ Quill: 1, Astrel: 0, Tern: 2 })
  })
  it('is told apart within a chart, whatever it had elsewhere', () => {
    const own = voices(deckOf('one', 'two', 'three'), 'three')
    expect(new Set(Object.values(own)).size).toBe(2)
  })
  it('is drawn so, and the same drawing stays where another chart is not', () => {
    const deck = deckOf('one', 'two')
    const context = { ...timingContext, table: tableOf }
    const drawing = (of: Deck) => {
      const element = shownElements(of, slidesOf(of)[0]!.id).find(({ id }) => id === 'chart-two')!
      if (element.kind !== 'chart') throw new Error('no chart')
      return drawingOfElement(of, element, null, context.table, context.measurer)!
    }
    const made = drawing(deck)
    const toneOf = (series: string) => made.marks.find(({ key }) => key === `2030 ${series}`)!.tone
    expect([toneOf('Quill'), toneOf('Astrel'), toneOf('Tern')]).toEqual([0, 0, 0].map((_, at) => ({ name: 'voice', at: [1, 0, 2][at]! })))
    const title = Object.values(deck.elements).find(({ kind }) => kind === 'text')!
    const changed = { ...deck, elements: { ...deck.elements, [title.id]: { ...title, name: 'Another' } } } as Deck
    expect(drawing(changed)).toBe(made)
  })
})
