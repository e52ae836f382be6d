import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { addBeat } from '#core/edits'
import { beatsOf, cuesOfElement, putRecord } from '#core/model'
import { cue } from '#core/testing'
import { openDeck } from '../testing/open-deck'
import { told } from '../testing/nuxt'

/** Three cues on the text of the first slide, one on that of the second. */
function scored() {
  const opened = openDeck()
  const { store, ids } = opened
  const beatOn = (slide: string) => beatsOf(store.current, slide)[0]!.id
  store.edit('move', [
    putRecord('cues', cue({ id: 'c0', beat: beatOn(ids[0]!), element: 't0', order: 'a0' })),
    putRecord('cues', cue({ id: 'c1', beat: beatOn(ids[0]!), element: 't0', order: 'a1', what: 'emphasis', effect: 'pulse', duration: 2 })),
    putRecord('cues', cue({ id: 'c2', beat: beatOn(ids[0]!), element: 't0', order: 'a2', what: 'exit', delay: 5 })),
    putRecord('cues', cue({ id: 'c3', beat: beatOn(ids[1]!), element: 't1' })),
  ])
  return { ...opened, score: useScore() }
}

describe('cues that are chosen', () => {
  it('are one, or more with the key held, and let go by choosing again', () => {
    const { score } = scored()
    score.choose('c0', false)
    score.choose('c1', true)
    score.choose('c2', true)
    expect(score.chosen).toEqual(['c2', 'c1', 'c0'])
    score.choose('c2', true)
    expect(score.chosen).toEqual(['c1', 'c0'])
    score.choose('c0', false)
    expect(score.chosen).toEqual(['c0', 'c1'])
    score.choose('c2', false)
    expect(score.chosen).toEqual(['c2'])
    score.only('c1')
    expect(score.chosen).toEqual(['c1'])
  })

  it('are none on another slide', async () => {
    const { score, where, ids } = scored()
    score.choose('c0', false)
    score.choose('c1', true)
    where.goToSlide(ids[1]!)
    await nextTick()
    expect(score.chosen).toEqual([])
  })

  it('are removed in one step', () => {
    const { score, store } = scored()
    score.choose('c0', false)
    score.choose('c2', true)
    score.remove()
    expect(cuesOfElement(store.current, 't0').map(({ id }) => id)).toEqual(['c1'])
    expect(store.undoLabel).toBe('remove 2 cues')
    store.undo()
    expect(cuesOfElement(store.current, 't0')).toHaveLength(3)
  })
})

describe('motion that is copied', () => {
  it('is added to other parts, or put in place of theirs', () => {
    const { score, store } = scored()
    score.choose('c0', false)
    score.choose('c1', true)
    score.copy()
    expect(told.at(-1)!.title).toContain('2 cues')
    score.paste(['t1'], 'add')
    expect(cuesOfElement(store.current, 't1')).toHaveLength(3)
    score.paste(['t1'], 'replace')
    expect(
      cuesOfElement(store.current, 't1')
        .map(({ effect }) => effect)
        .sort(),
    ).toEqual(['fade', 'pulse'])
  })
})

describe('tempo', () => {
  it('stretches what is chosen and nothing else, with one name for a person', () => {
    const { score, store } = scored()
    score.choose('c1', false)
    score.setTempo('cues', 2)
    expect([store.current.cues.c0!.duration, store.current.cues.c1!.duration]).toEqual([1, 4])
    expect(store.undoLabel).toBe('stretch the chosen cues')
    score.setTempo('slide', 0.5)
    expect([store.current.cues.c0!.duration, store.current.cues.c1!.duration, store.current.cues.c3!.duration]).toEqual([0.5, 2, 1])
  })

  it('lets all beats that follow another go on by themselves, and says when they do already', () => {
    const { score, store, ids } = scored()
    store.edit('a beat', addBeat(store.current, { slide: ids[1]!, after: null, start: 'advance' }, store.context))
    const starts = () => beatsOf(store.current, ids[1]!).map(({ start }) => start)
    expect(starts()[1]).toBe('advance')
    score.setStarts('deck', 'self')
    expect(starts()[1]).toBe('self')
    score.setStarts('deck', 'self')
    expect(told.at(-1)!.title).toContain('already')
  })
})
