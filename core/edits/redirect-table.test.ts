import { describe, expect, it } from 'vitest'
import { newChart } from '../charts'
import { pinnedId, pinOf, sourceIn } from '../data'
import { tablesOf } from '../formats/deck-file'
import { applyChanges, putRecord, setRecord, slidesOf, type Element } from '../model'
import { freshDeck } from '../testing'
import { redirectTable } from './redirect-table'

describe('a deck that stays at one version of a table', () => {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const box = { x: 0, y: 0, width: 400, height: 300, angle: 0 }
  const common = { owner: slide, name: 'Part', box }
  const number = { table: 'riders', column: 'riders', finding: 'sum' }
  const deck = applyChanges(base, [
    putRecord('elements', { ...common, id: 'c', order: 'a0', kind: 'chart', chart: { ...newChart('riders'), map: 'riders' } } as Element),
    putRecord('elements', { ...common, id: 'o', order: 'a1', kind: 'chart', chart: newChart('other') } as Element),
    putRecord('elements', {
      ...common,
      id: 't',
      order: 'a2',
      kind: 'text',
      text: {
        type: 'doc',
        content: [{ type: 'paragraph', content: [{ type: 'text', text: '12', marks: [{ type: 'amount', attrs: { of: number } }] }] }],
      },
    } as unknown as Element),
    putRecord('states', { id: 's', element: 'c', order: 'a0', name: '', chart: { table: 'riders' } }),
    setRecord('slides', slide, { rows: { table: 'riders' } }),
  ])
  const pin = pinnedId({ source: 'riders', number: 3 })
  const pinned = applyChanges(deck, redirectTable(deck, { from: 'riders', to: pin }))

  it('reads it in its charts, their states and maps, numbers in texts, and slides for rows; all else as before', () => {
    expect(new Set(tablesOf(pinned))).toEqual(new Set([pin, 'other']))
    expect(JSON.stringify(pinned)).not.toContain('"riders"}')
    expect(pinned.elements.o).toBe(deck.elements.o)
    expect(JSON.stringify(pinned.elements.t)).toContain(`"table":"${pin}"`)
    expect(JSON.stringify(pinned.elements.t)).toContain('"column":"riders"')
  })

  it('follows the table again as it did', () => {
    const again = applyChanges(pinned, redirectTable(pinned, { from: pin, to: 'riders' }))
    expect(again).toEqual(deck)
  })

  it('knows what an id stays at', () => {
    expect(pinOf(pin)).toEqual({ source: 'riders', number: 3 })
    expect([pinOf('riders'), pinOf('riders_v0'), sourceIn(pin), sourceIn('riders')]).toEqual([null, null, 'riders', 'riders'])
  })
})
