import { describe, expect, it } from 'vitest'
import { newChart, specInState } from '../../charts'
import { applyChanges, beatsOf, cuesOf, putRecord, slidesOf, statesOf, type ChartElement, type ChartSpec, type Deck } from '../../model'
import { countingContext, freshDeck, seasons, timingContext } from '../../testing'
import { addState, compileSlide, cueSentence, frameAt, moveState, removeState, setState, statesTold } from '../index'

const slideOf = (deck: Deck) => slidesOf(deck)[0]!.id
const spec: ChartSpec = { ...newChart(seasons.id), kind: 'bar' }
/** A slide with a chart that is told in as many states as there are specifications. */
function told(...specs: ChartSpec[]): Deck {
  const base = freshDeck()
  const chart: ChartElement = {
    id: 'c',
    owner: slideOf(base),
    name: 'Seasons',
    order: 'a5',
    kind: 'chart',
    chart: spec,
    box: { x: 0, y: 0, width: 1200, height: 600, angle: 0 },
  }
  const context = countingContext('n')
  return specs.reduce(
    (deck, wanted) => applyChanges(deck, addState(deck, { element: 'c', spec: wanted }, context)),
    applyChanges(base, [putRecord('elements', chart)]),
  )
}
const lit: ChartSpec = { ...spec, rule: 'most' }
const ring: ChartSpec = { ...spec, kind: 'ring' }
const shownIn = (deck: Deck) => statesTold(deck, 'c').map(({ state }) => specInState(deck, spec, state.id))
const beatsIn = (deck: Deck) => statesTold(deck, 'c').map(({ beat }) => beat)

describe('the states of a chart', () => {
  it('are told one after the other, each in a beat of its own, and stay until the next', () => {
    const deck = told(lit, ring)
    expect([shownIn(deck), beatsIn(deck)]).toEqual([
      [lit, ring],
      [1, 2],
    ])
    const score = compileSlide(deck, slideOf(deck), timingContext)
    const [first, second] = statesOf(deck, 'c').map(({ id }) => id)
    const chartAt = (beat: number, seconds: number) => frameAt(score, { beat, seconds }).elements.get('c')?.chart
    expect(chartAt(0, 9)).toBeUndefined()
    expect(chartAt(1, 9)).toMatchObject({ from: null, to: first, progress: 1 })
    expect(chartAt(2, 9)).toMatchObject({ from: first, to: second, progress: 1 })
  })

  it('are reached in the time that their marks need, which follows when a state changes', () => {
    const deck = told(ring)
    const [state] = statesOf(deck, 'c')
    const cueOf = (of: Deck) => compileSlide(of, slideOf(of), timingContext).beats[1]!.cues[0]!
    const turns = cueOf(deck).round
    expect(turns).toBeGreaterThan(1.4)
    const changed = applyChanges(deck, setState(deck, { state: state!.id, spec: lit }))
    expect(cueOf(changed).round).toBeLessThan(turns)
    // What it comes to is read in its beat.
    const beats = compileSlide(deck, slideOf(deck), timingContext).beats
    expect([beats[1]!.reading.marks, beats[1]!.hold > 1]).toEqual([5, true])
    // Stretched, it keeps following; given a length, it has that one.
    const tempo = (options: object) =>
      cueOf(applyChanges(deck, [putRecord('cues', { ...cueOf(deck).cue, duration: 4, options: { state: state!.id, ...options } })])).round
    expect(tempo({ tempo: 50 })).toBeCloseTo(turns * 2, 6)
    expect(tempo({ takes: 'fixed' })).toBe(4)
    expect(cueSentence(deck, cueOf(deck), () => '', 'state 2')).toMatch(/^Goes to state 2, with the beat, for 1\.\d+ s\.$/)
  })

  it('change places with their neighbours, in their order and in the beats alike', () => {
    const deck = told(lit, ring)
    const [first] = statesOf(deck, 'c')
    const moved = applyChanges(deck, moveState(deck, { state: first!.id, by: 1 }))
    expect([shownIn(moved), beatsIn(moved)]).toEqual([
      [ring, lit],
      [1, 2],
    ])
    expect(moveState(deck, { state: first!.id, by: -1 })).toEqual([])
  })

  it('go with their cues, and with the beats in which nothing else happens', () => {
    const deck = told(lit, ring)
    const [first] = statesOf(deck, 'c')
    const left = applyChanges(deck, removeState(deck, { state: first!.id }))
    expect([shownIn(left), beatsIn(left)]).toEqual([[ring], [1]])
    expect(beatsOf(left, slideOf(left)).flatMap(beat => cuesOf(left, beat.id)).length).toBe(1)
    // Where something else happens in its beat, that stays.
    const { cue } = statesTold(deck, 'c')[0]!
    const busy = applyChanges(deck, [putRecord('cues', { ...cue!, id: 'other', what: 'emphasis', effect: 'pulse', options: {} })])
    const kept = applyChanges(busy, removeState(busy, { state: first!.id }))
    expect(kept.cues.other?.beat).toBe(cue!.beat)
  })

  it('are none of a chart that has nothing to show', () => {
    const deck = told()
    expect(addState(deck, { element: 'nobody', spec }, countingContext('x'))).toEqual([])
    expect(statesTold(deck, 'nobody')).toEqual([])
  })
})
