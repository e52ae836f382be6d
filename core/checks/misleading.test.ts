import { describe, expect, it } from 'vitest'
import { newChart } from '../charts'
import type { DataTable } from '../data'
import { applyChanges, putRecord, slidesOf, type ChartSpec, type Deck, type Element } from '../model'
import { countingContext, freshDeck, timingContext } from '../testing'
import { addState } from '../timing'
import { checkDeck } from './index'

const quays = Array.from({ length: 20 }, (_, index) => `quay ${index}`)
const long: DataTable = {
  id: 'long',
  name: 'long',
  columns: [
    { name: 'quay', type: 'text', values: quays },
    { name: 'boats', type: 'number', values: quays.map((_, index) => index + 3) },
  ],
}
const context = { ...timingContext, table: () => long }
/** A deck whose first slide shows boats by quay. */
function charted(more: Partial<ChartSpec>): Deck {
  const base = freshDeck()
  const chart = {
    id: 'c',
    owner: slidesOf(base)[0]!.id,
    kind: 'chart',
    name: 'Crossings',
    order: 'a2',
    chart: { ...newChart('long'), ...more },
  }
  return applyChanges(base, [putRecord('elements', { ...chart, box: { x: 100, y: 300, width: 900, height: 500, angle: 0 } } as Element)])
}
const findings = (deck: Deck) => checkDeck(deck, context).filter(({ rule }) => rule === 'misleading')
const said = (more: Partial<ChartSpec>) => findings(charted(more)).map(({ message }) => message)

describe('a chart whose kind misleads about its rows', () => {
  it('is named with why and what to do, and none that does not', () => {
    expect(said({ kind: 'ring' })).toEqual(['“Crossings”, drawn as ring: 20 parts: the small ones cannot be told apart.'])
    expect(said({ kind: 'slope' })).toEqual([
      '“Crossings”, drawn as first against last: It needs a column that parts each amount, such as a route. Choose another kind, or that column.',
    ])
    expect(said({ kind: 'lying-bar' })).toEqual([])
  })

  it('is judged by what it draws: some of many parts are few', () => {
    expect(said({ kind: 'ring', only: { keys: quays.slice(0, 4), found: [] } })).toEqual([])
  })

  it('is found in every state, with the beat that leads there, and mended in that state alone', () => {
    const bars = charted({ kind: 'lying-bar' })
    const ring = { ...(bars.elements.c as { chart: ChartSpec }).chart, kind: 'ring' }
    const told = applyChanges(bars, addState(bars, { element: 'c', spec: ring }, countingContext('s')))
    const [finding] = findings(told)
    expect([finding!.message, finding!.beat]).toEqual([
      '“Crossings”, state 2, drawn as ring: 20 parts: the small ones cannot be told apart.',
      1,
    ])
    const mended = applyChanges(told, finding!.remedy!.changes(told, countingContext('r')))
    expect([findings(mended), mended.elements.c]).toEqual([[], bars.elements.c])
  })
})
