import { describe, expect, it } from 'vitest'
import { addBeat } from '#core/edits'
import { secondsAt } from '#core/timing'
import { handClock } from '../testing/clock'
import { inPage, openDeck, someDeck } from '../testing/open-deck'
import { usePlayback } from './playback'

const pass = handClock()

function playing(count = 2) {
  const opened = openDeck(someDeck(count))
  const playback = inPage(() => usePlayback())
  const at = () => secondsAt(opened.store.plan!, opened.where.moment!)!
  return { ...opened, playback, at }
}

describe('playing in place', () => {
  it('follows the clock from the playhead on, over slides, to the end, and stops there', () => {
    const { playback, where, store, at, ids } = playing()
    where.goTo({ slide: ids[0]!, beat: 0, seconds: 0.5 })
    const start = at()
    playback.play()
    pass(1)
    expect(at()).toBeCloseTo(start + 1, 1)
    pass(store.plan!.length + 1)
    expect([where.playing, where.slideId]).toEqual([false, ids[1]])
    expect(at()).toBeCloseTo(store.plan!.length)
  })

  it('begins anew from the end, and stops when it is pressed again', () => {
    const { playback, where, store, at } = playing()
    pass(0)
    where.goToSlide(store.slides.at(-1)!.id)
    playback.play()
    pass(store.plan!.length + 1)
    playback.toggle()
    expect(at()).toBeLessThan(0.2)
    pass(1)
    playback.toggle()
    const stood = at()
    pass(1)
    expect([where.playing, at()]).toEqual([false, stood])
  })

  it('goes round in one beat where that is wished', () => {
    const { playback, where, store } = playing()
    where.goToSlide(store.slides[0]!.id)
    where.loop = { from: 0, to: 0 }
    playback.playBeat(0)
    const length = store.plan!.slides[0]!.beats[0]!.length
    pass(length * 2.5)
    expect(where.moment).toMatchObject({ beat: 0 })
    expect(where.moment!.seconds).toBeCloseTo(length * 0.5, 0)
    expect(where.playing).toBe(true)
  })

  it('goes round in several beats where that is wished, from wherever it begins, until another slide is worked on', () => {
    const { playback, where, store, ids } = playing()
    store.edit('beats', [
      ...addBeat(store.current, { slide: ids[0]!, after: null, start: 'self' }, { id: () => 'second' }),
      ...addBeat(store.current, { slide: ids[0]!, after: null, start: 'self' }, { id: () => 'third' }),
    ])
    where.goToSlide(ids[0]!)
    const { beats } = store.plan!.slides[0]!
    where.loop = { from: 0, to: 1 }
    where.goTo({ slide: ids[0]!, beat: 2, seconds: 0.1 })
    playback.play()
    pass(0.1)
    expect(where.moment!.beat).toBeLessThan(2)
    const seen = new Set<number>()
    for (let step = 0; step < 40; step++) {
      pass((beats[0]!.length + beats[1]!.length) / 15)
      seen.add(where.moment!.beat)
    }
    expect([...seen].sort()).toEqual([0, 1])
    where.goToSlide(ids[1]!)
    expect(where.loop).toBeNull()
  })

  it('runs slower or faster, and by single frames', () => {
    const { playback, where, at, ids } = playing()
    where.goTo({ slide: ids[0]!, beat: 0, seconds: 0 })
    playback.speed.value = 0.5
    const start = at()
    playback.play()
    pass(2)
    expect(at()).toBeCloseTo(start + 1, 1)
    playback.step(1)
    expect(where.playing).toBe(false)
    const frame = at()
    playback.step(-1)
    expect(frame - at()).toBeCloseTo(1 / 30)
  })

  it('ends with its page', () => {
    const { playback, at } = playing()
    playback.play()
    pass(0.5)
    playback.leave()
    const stood = at()
    pass(1)
    expect(at()).toBe(stood)
  })
})
