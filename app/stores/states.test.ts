import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { newChart } from '#core/charts'
import { beatsOf, putRecord, statesOf, type ChartSpec } from '#core/model'
import type { DataTable } from '#core/data'
import { openDeck } from '../testing/open-deck'

const table: DataTable = {
  id: 'seats',
  name: 'seats.csv',
  columns: [
    { name: 'year', type: 'date', grain: 'year', values: ['2030', '2030', '2031', '2031'] },
    { name: 'route', type: 'text', values: ['Astrel', 'Quill', 'Astrel', 'Quill'] },
    { name: 'seats', type: 'number', values: [40, 10, 50, 90] },
  ],
}
const spec: ChartSpec = { ...newChart('seats'), kind: 'lying-bar', across: 'route', order: 'falling' }

/** A deck with a chart on its first slide, which is selected. */
async function charted() {
  const opened = openDeck()
  useTables().keep(table)
  opened.store.edit('put a chart', [
    putRecord('elements', {
      id: 'c',
      owner: opened.ids[0]!,
      name: 'Seats',
      order: 'a9',
      kind: 'chart',
      chart: spec,
      box: { x: 0, y: 0, width: 1200, height: 600, angle: 0 },
    }),
  ])
  const states = useStates()
  useSelected().select('c')
  await nextTick()
  return { ...opened, states, stage: useStage() }
}

describe('the states of the chart in hand', () => {
  it('are one until another is kept, which is then worked on and shown, in one step that is undone', async () => {
    const { states, store, stage, ids } = await charted()
    expect([states.isOpen, states.list.length, states.at]).toEqual([false, 1, 0])
    const beats = beatsOf(store.current, ids[0]!).length
    states.keep({ ...spec, rule: 'most' })
    await nextTick()
    expect([states.isOpen, states.list.map(({ name }) => name), states.at]).toEqual([true, ['Bars', 'Quill lit'], 1])
    expect(states.list[1]).toMatchObject({ word: 'lights', beat: beats + 1 })
    expect(stage.chartState).toMatchObject({ element: 'c', state: states.chosen })
    expect(stage.shownDeck!.elements.c).toMatchObject({ chart: { rule: 'most' } })
    expect(store.current.elements.c).toMatchObject({ chart: spec })
    store.undo()
    await nextTick()
    expect([states.list.length, states.chosen, beatsOf(store.current, ids[0]!).length]).toEqual([1, null, beats])
  })

  it('change one by one: what is set goes to the chosen one', async () => {
    const { states, store } = await charted()
    states.keep()
    states.set('change it', { ...spec, kind: 'ring' })
    await nextTick()
    expect(states.list.map(one => one.spec.kind)).toEqual(['lying-bar', 'ring'])
    states.step(-1)
    states.set('change it', { ...spec, kind: 'bar' })
    await nextTick()
    expect(states.list.map(one => one.spec.kind)).toEqual(['bar', 'ring'])
    expect(store.current.elements.c).toMatchObject({ chart: { kind: 'bar' } })
  })

  it('run through time where their moments differ, as long as they have steps', async () => {
    const { states } = await charted()
    const at = (moment: 'first' | 'last'): ChartSpec => ({ ...spec, moment: { column: 'year', at: moment } })
    states.set('begin', at('first'))
    await nextTick()
    states.keep(at('last'))
    await nextTick()
    expect(states.list[1]).toMatchObject({ name: '2031', word: 'runs', seconds: 1.1 })
    expect(states.list[1]!.passage!.runs).toEqual({ from: '2030', to: '2031', steps: 1 })
  })

  it('are named, told in another order, and removed', async () => {
    const { states, store } = await charted()
    states.keep({ ...spec, rule: 'most' })
    states.keep({ ...spec, kind: 'ring' })
    await nextTick()
    const [first, second] = statesOf(store.current, 'c').map(({ id }) => id)
    states.rename(second!, 'Their share')
    states.move(second!, -1)
    await nextTick()
    expect(states.list.map(({ id }) => id)).toEqual([null, second, first])
    expect(states.list[1]!.name).toBe('Their share')
    states.remove(second!)
    await nextTick()
    expect([states.list.map(({ id }) => id), states.chosen]).toEqual([[null, first], null])
  })

  it('are those of another chart, or none, when something else is selected', async () => {
    const { states, stage } = await charted()
    states.keep({ ...spec, rule: 'most' })
    await nextTick()
    useSelected().select('t0')
    await nextTick()
    expect([states.isOpen, states.list.length, stage.chartState]).toEqual([false, 0, null])
  })
})
