import { dropRecord, putRecord, applyChanges, slidesOf } from '#core/model'
import { describe, expect, it } from 'vitest'
import { rundown } from '#core/timing'
import { beat, freshDeck, timingContext } from '#core/testing'
import { filmCourse, talkCourse } from './course'

const deck = (() => {
  const base = freshDeck()
  const first = slidesOf(base)[0]!.id
  return applyChanges(base, [
    putRecord('beats', beat({ id: 'b1', slide: first, order: 'b00', start: 'self' })),
    putRecord('slides', {
      id: 's2',
      order: 'b00',
      layout: 'layout-list',
      notes: '',
      transition: { effect: 'push', duration: 1, easing: { kind: 'linear' } },
    }),
    putRecord('beats', beat({ id: 'b2', slide: 's2', order: 'a0' })),
  ])
})()
const first = slidesOf(deck)[0]!.id
const plan = (purpose: 'talk' | 'film' | 'loop') => rundown(deck, purpose, timingContext)

describe('a talk', () => {
  it('goes on by itself where a beat says so, then waits for its speaker however long', () => {
    const course = talkCourse(plan('talk'))
    course.pass(1000)
    expect(course.moment()).toMatchObject({ slide: first, beat: 1 })
    course.forward()
    expect(course.moment()).toEqual({ slide: 's2', beat: 0, seconds: -1 })
    course.pass(1.5)
    expect(course.moment()!.seconds).toBeCloseTo(0.5, 9)
  })

  it('is over after its last beat, and one step back shows that beat again', () => {
    const course = talkCourse(plan('talk'), { slide: 's2', beat: 0, seconds: 0 })
    course.forward()
    expect(course.isOver()).toBe(true)
    course.back()
    expect([course.isOver(), course.moment()!.slide]).toEqual([false, 's2'])
  })

  it('keeps its place when the deck is edited meanwhile, and finds another when its slide is gone', () => {
    const course = talkCourse(plan('talk'), { slide: 's2', beat: 0, seconds: 2 })
    course.replan(plan('talk'))
    expect(course.moment()).toEqual({ slide: 's2', beat: 0, seconds: 2 })
    course.replan(rundown(applyChanges(deck, [dropRecord('slides', 's2')]), 'talk', timingContext))
    expect(course.moment()!.slide).toBe(first)
  })
})

describe('a film', () => {
  it('runs to its exact length, and a loop does not end', () => {
    const film = filmCourse(plan('film'))
    film.pass(plan('film').length - 0.01)
    expect(film.isOver()).toBe(false)
    film.pass(0.02)
    expect(film.isOver()).toBe(true)
    const loop = filmCourse(plan('loop'))
    loop.pass(plan('loop').length * 7.5)
    expect(loop.isOver()).toBe(false)
  })

  it('goes to the next slide, to this slide’s beginning, and then to the one before', () => {
    const film = filmCourse(plan('film'))
    film.forward()
    expect(film.moment()).toMatchObject({ slide: 's2', beat: 0 })
    film.pass(1.5)
    film.back()
    expect(film.moment()!.seconds).toBeCloseTo(0, 9)
    film.back()
    expect(film.moment()!.slide).toBe(first)
  })
})
