import { describe, expect, it, vi } from 'vitest'
import { beatsOf } from '#core/model'
import { told } from '../testing/nuxt'
import { handClock } from '../testing/clock'
import { inPage, openDeck } from '../testing/open-deck'
import { useTapping } from './tapping'

// There is nothing to be heard: time is that of the page.
vi.mock('#player', async player => ({
  ...(await player<object>()),
  openSound: () => ({ hear: () => {}, silence: () => {}, close: () => {}, now: () => null }),
}))
const pass = handClock()

function opened() {
  const made = openDeck()
  const slide = made.ids[0]!
  made.where.goToSlide(slide)
  return { ...made, slide, tapping: inPage(() => useTapping()), beats: () => beatsOf(made.store.current, slide) }
}

describe('beats that are tapped', () => {
  it('begin where they were tapped, one step of undo, and the moments are said', () => {
    const { tapping, beats, store } = opened()
    tapping.apply([1.5, 4], 9)
    expect(beats()).toHaveLength(3)
    expect(beats().map(({ hold }) => hold.kind)).toEqual(['seconds', 'seconds', 'seconds'])
    const planned = store.plan!.slides[0]!.beats
    expect(planned.map(({ start }) => Math.round((start - planned[0]!.start) * 10) / 10)).toEqual([0, 1.5, 4])
    expect(told.at(-1)!.title).toBe('The slide’s beats begin at 1.5 and 4.0 s.')
    store.undo()
    expect(beats()).toHaveLength(1)
  })

  it('change nothing where none was tapped, and say so', () => {
    const { tapping, store } = opened()
    const before = store.current
    tapping.apply([])
    expect([store.current === before, told.at(-1)!.title]).toEqual([true, 'No beat was tapped, so nothing has changed.'])
  })

  it('are seen as they come, and end with the press that ends them', () => {
    const { tapping, where, beats } = opened()
    where.playing = true
    tapping.begin()
    expect([tapping.on.value, where.playing]).toEqual([true, false])
    pass(1)
    expect(where.moment).toMatchObject({ beat: 0, seconds: expect.closeTo(1) })
    tapping.tap()
    expect(tapping.taps.value).toEqual([1])
    pass(0.6)
    tapping.finish()
    expect([tapping.on.value, beats().length]).toEqual([false, 2])
    tapping.tap()
    expect(tapping.taps.value).toHaveLength(1)
  })

  it('stop as the page is left', () => {
    const { tapping } = opened()
    const { leave } = tapping as unknown as { leave: () => void }
    tapping.begin()
    leave()
    expect(tapping.on.value).toBe(false)
  })
})
