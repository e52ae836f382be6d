import { describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { beatsOf, cuesOfElement, putRecord } from '#core/model'
import { clipCues, type NamedMotion } from '#core/timing'
import { cue } from '#core/testing'
import { openDeck } from '../testing/open-deck'
import { told } from '../testing/nuxt'

/** The text of the first slide comes in and pulses; the server keeps what it is given. */
function moving() {
  const opened = openDeck()
  const { store, ids } = opened
  const beat = beatsOf(store.current, ids[0]!)[0]!.id
  store.edit('move', [
    putRecord('cues', cue({ id: 'c0', beat, element: 't0', order: 'a0', what: 'enter', effect: 'rise' })),
    putRecord('cues', cue({ id: 'c1', beat, element: 't0', order: 'a1', what: 'emphasis', effect: 'pulse', delay: 2 })),
  ])
  const kept: NamedMotion[] = []
  vi.stubGlobal(
    '$fetch',
    vi.fn((url: string, input?: { method: string; body: Omit<NamedMotion, 'id'> }) => {
      if (input?.method === 'POST') kept.push({ id: `m${kept.length}`, ...input.body })
      if (input?.method === 'DELETE')
        kept.splice(
          kept.findIndex(one => url.endsWith(one.id)),
          1,
        )
      return Promise.resolve(input?.method === 'POST' ? kept.at(-1) : [...kept])
    }),
  )
  return { ...opened, motions: useMotions(), kept }
}

describe('motion that is put on others', () => {
  it('is seen before it is taken, and is nowhere where it is not', async () => {
    const { motions, store } = moving()
    motions.ask('t0')
    motions.onto = 'deck'
    await nextTick()
    expect(motions.elements).toEqual(['t1', 't2'])
    expect(cuesOfElement(store.shown!, 't2').map(({ effect }) => effect)).toEqual(['rise', 'pulse'])
    expect(cuesOfElement(store.current, 't2')).toEqual([])
    motions.stop()
    expect(cuesOfElement(store.shown!, 't2')).toEqual([])
    motions.ask('t0')
    motions.onto = 'deck'
    await nextTick()
    motions.apply()
    expect(cuesOfElement(store.current, 't1')).toHaveLength(2)
    expect(store.tried).toBeNull()
    expect(told.at(-1)!.title).toBe('2 elements move so.')
    store.undo()
    expect(cuesOfElement(store.current, 't1')).toEqual([])
  })

  it('goes to what was selected together, and says how much motion gives way', async () => {
    const { motions, store, selected, ids } = moving()
    store.edit('another', [
      putRecord('elements', { ...store.current.elements.t0!, id: 'beside', order: 'a9' }),
      putRecord('cues', cue({ id: 'old', beat: beatsOf(store.current, ids[0]!)[0]!.id, element: 'beside', what: 'enter' })),
    ])
    selected.select('t0', 'beside')
    motions.ask('t0')
    await nextTick()
    expect([motions.onto, motions.elements, motions.losing]).toEqual(['selected', ['beside'], 1])
    motions.replaces = false
    expect(motions.losing).toBe(0)
    motions.apply()
    expect(cuesOfElement(store.current, 'beside')).toHaveLength(3)
  })

  it('is the other way round where that is wanted: it goes out as it came, once it is there', async () => {
    const { motions, store } = moving()
    motions.ask('t0')
    motions.isReversed = true
    motions.onto = 'it'
    await nextTick()
    motions.apply()
    const exit = cuesOfElement(store.current, 't0').find(one => one.what === 'exit')!
    expect([exit.effect, exit.anchor]).toEqual(['rise', { to: 'end', cue: 'c0' }])
  })

  it('is kept for the team under a name, and put on what has none of its own', async () => {
    const { motions, store, kept } = moving()
    motions.ask('t0')
    await motions.keep('Rise and beat')
    expect(kept.map(one => [one.name, one.motion])).toEqual([['Rise and beat', clipCues(store.current, ['c0', 'c1'])]])
    motions.stop()
    motions.ask('t1')
    await vi.waitFor(() => expect(motions.chosen).toBe('m0'))
    motions.onto = 'it'
    await nextTick()
    motions.apply()
    expect(cuesOfElement(store.current, 't1').map(({ what }) => what)).toEqual(['enter', 'emphasis'])
    await motions.drop('m0')
    expect([kept, motions.named, motions.chosen]).toEqual([[], [], null])
    told.at(-1)!.actions![0]!.onClick()
    await vi.waitFor(() => expect(motions.named.map(one => one.name)).toEqual(['Rise and beat']))
  })
})
