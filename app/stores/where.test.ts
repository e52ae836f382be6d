import { describe, expect, it } from 'vitest'
import { addBeat, removeSlides } from '#core/edits'
import { beatsOf, setRecord } from '#core/model'
import { lastMoment } from '#core/timing'
import { openDeck } from '../testing/open-deck'

describe('where one is in a deck', () => {
  it('is its first slide as it is opened, with all of it there', () => {
    const { where, ids } = openDeck()
    expect([where.slideId, where.stageId, where.lookOwner]).toEqual([ids[0], ids[0], null])
    expect(where.moment).toMatchObject({ slide: ids[0], ...lastMoment(where.score!) })
  })

  it('is another slide once a moment of that is gone to; the others are told', () => {
    const { where, ids, selected, line } = openDeck()
    selected.select('t0')
    where.goTo({ slide: ids[2]!, beat: 0, seconds: 0.5 })
    expect([where.slideId, where.moment]).toEqual([ids[2], { slide: ids[2], beat: 0, seconds: 0.5 }])
    expect(selected.elements).toEqual([])
    expect(line.sent.some(({ kind }) => kind === 'awareness')).toBe(true)
  })

  it('is the neighbour of a slide that goes, by whoever took it', () => {
    const { where, store, others, ids } = openDeck()
    where.goToSlide(ids[1]!)
    store.edit('remove', removeSlides(store.current, { slides: [ids[1]!] }))
    expect(where.slideId).toBe(ids[2])
    others(removeSlides(store.current, { slides: [ids[2]!] }))
    expect(where.slideId).toBe(ids[0])
  })

  it('goes round no longer once another slide is gone to, and leaves a look whose layout is gone', () => {
    const { where, store, ids } = openDeck()
    const slide = ids[0]!
    store.edit('beat', addBeat(store.current, { slide, after: beatsOf(store.current, slide)[0]!.id, start: 'self' }, store.context))
    where.loop = { from: 0, to: 1 }
    where.goToSlide(ids[1]!)
    expect(where.loop).toBeNull()
    const layout = Object.keys(store.current.layouts).find(id => !Object.values(store.current.slides).some(one => one.layout === id))!
    where.lookOwner = layout
    expect(where.stageId).toBe(layout)
    store.edit('drop', [{ do: 'drop', table: 'layouts', id: layout }])
    expect([where.lookOwner, where.stageId]).toEqual([null, ids[1]])
  })

  it('is on a form while the deck is one, but not where a layout is worked on', () => {
    const { where, store } = openDeck()
    expect(where.isForm).toBe(false)
    store.edit('form', [setRecord('info', 'info', { form: true })])
    expect(where.isForm).toBe(true)
    where.lookOwner = Object.keys(store.current.layouts)[0]!
    expect(where.isForm).toBe(false)
  })
})
