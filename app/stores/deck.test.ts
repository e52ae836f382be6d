import { describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { applyAwarenessUpdate, Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { removeSlides, setFields } from '#core/edits'
import { dropRecord, infoOf, setRecord, slidesOf, textOf } from '#core/model'
import { outlineOf, setAgenda, setOutlineSlide } from '#core/layouts'
import { freshDeck } from '#core/testing'
import { Line } from '../testing/line'
import { told, visited } from '../testing/nuxt'
import { deliver, openDeck, signIn, someDeck } from '../testing/open-deck'
import { answers } from '../testing/setup'

describe('a deck that is open', () => {
  it('is there once the server has given it, and is asked for as such only then', () => {
    signIn()
    const store = useDeck()
    expect(() => store.current).toThrow('No deck is open')
    store.open('timetable')
    expect(store.deck).toBeNull()
    deliver(freshDeck())
    expect(infoOf(store.current).title).toBe('Spring timetable')
    store.close()
    expect(store.deck).toBeNull()
    expect(Line.all.at(-1)!.readyState).toBe(3)
  })

  it('stays open for the page that follows, on one line', () => {
    const { store } = openDeck()
    store.open('timetable')
    store.close()
    expect(store.deck).not.toBeNull()
    expect(Line.all).toHaveLength(1)
    store.close()
    expect(store.deck).toBeNull()
  })

  it('takes an edit as one step of undo with a name, and gives it back', () => {
    const { store } = openDeck()
    store.edit('rename the deck', [setRecord('info', 'info', { title: 'Summer' })])
    store.edit('move Words', setFields(store.current, { table: 'elements', id: 't0', fields: { name: 'Moved' } }))
    expect([infoOf(store.current).title, store.current.elements.t0!.name]).toEqual(['Summer', 'Moved'])
    expect(store.undoLabel).toBe('move Words')
    store.undo()
    expect([infoOf(store.current).title, store.current.elements.t0!.name]).toEqual(['Summer', 't0'])
    expect([store.undoLabel, store.redoLabel]).toEqual(['rename the deck', 'move Words'])
    store.redo()
    expect(store.current.elements.t0!.name).toBe('Moved')
  })

  it('gathers quick edits of one text into one step', () => {
    const { store } = openDeck()
    for (const word of ['A', 'Ab', 'Abc']) store.editText('write', [setRecord('elements', 't0', { text: textOf([word]) })])
    store.undo()
    expect(store.current.elements.t0).toMatchObject({ text: textOf(['Words 0']) })
  })

  it('undoes nothing of what others did', () => {
    const { store, others } = openDeck()
    store.edit('rename', [setRecord('info', 'info', { title: 'Mine' })])
    others([setRecord('elements', 't0', { name: 'Theirs' })])
    store.undo()
    expect([infoOf(store.current).title, store.current.elements.t0!.name]).toEqual(['Spring timetable', 'Theirs'])
  })

  it('tells a viewer that nothing can be changed, and changes nothing', () => {
    const { store } = openDeck(someDeck(), 'viewer')
    const before = store.deck
    store.edit('rename', [setRecord('info', 'info', { title: 'Mine' })])
    expect(store.deck).toBe(before)
    expect(told.at(-1)!.title).toContain('viewer')
  })

  it('puts what is out of range within it and says so', () => {
    const { store } = openDeck()
    store.edit('widen', [setRecord('elements', 't0', { box: { x: 0, y: 0, width: 1e9, height: 40, angle: 0 } })])
    const { box } = store.current.elements.t0!
    expect(box!.width).toBeLessThan(1e9)
    expect(told).toHaveLength(1)
  })

  it('shows what is tried out without keeping it', () => {
    const { store } = openDeck()
    const kept = store.keptPlan
    store.tried = [setRecord('info', 'info', { title: 'Tried' })]
    expect([infoOf(store.shown!).title, infoOf(store.current).title]).toEqual(['Tried', 'Spring timetable'])
    expect(store.keptPlan).toBe(kept)
    store.tried = null
    expect(store.shown).toBe(store.deck)
  })

  it('lets an agenda follow the titles that it names', () => {
    const { store, ids } = openDeck(someDeck(2))
    store.edit('make an agenda', setAgenda(store.current, { slide: ids[0]!, from: 'slides' }, store.context))
    const lines = () => outlineOf(store.current, store.current.slides[ids[0]!]!).lines.map(line => line.text)
    store.edit('write', setOutlineSlide(store.current, { slide: ids[1]!, outline: { title: 'Night boats', lines: [] } }, store.context))
    expect(lines()).toEqual(['Night boats'])
    store.undo()
    expect(lines()).not.toContain('Night boats')
  })

  it('opens anew as the server has it when a change is refused, where one was, and offers what stood here', async () => {
    const { store, where, line, ids } = openDeck()
    where.goToSlide(ids[2]!)
    store.edit('rename', [setRecord('info', 'info', { title: 'Mine' })])
    line.say({ kind: 'refused', number: 1, message: 'This could not be taken.' })
    await vi.waitFor(() => expect(store.deck).toBeNull())
    expect(line.readyState).toBe(3)
    expect(told.at(-1)).toMatchObject({ title: 'This could not be taken.', actions: [{ label: 'Save what stood here as a file' }] })
    deliver(freshDeck())
    expect(infoOf(store.current).title).toBe('Spring timetable')
    expect(where.slideId).toBe(slidesOf(store.current)[0]!.id)
  })

  it('says so when the session has ended, and leads back here', async () => {
    openDeck()
    answers.set('/api/session', () => null)
    vi.useFakeTimers()
    vi.stubGlobal('fetch', () => Promise.resolve({ status: 401, ok: false }))
    for (let time = 0; time < 3; time++) {
      Line.all.at(-1)!.close(1006)
      await vi.advanceTimersByTimeAsync(3100)
    }
    vi.useRealTimers()
    expect(told.at(-1)!.title).toContain('signed out')
    told.at(-1)!.actions![0]!.onClick()
    await vi.waitFor(() => expect(visited).toEqual([{ path: '/sign-in', query: { then: '/' } }]))
  })
})

describe('where one is', () => {
  it('is the first slide at its end, and another slide at its own', () => {
    const { where, ids } = openDeck()
    expect([where.slideId, where.moment?.slide]).toEqual([ids[0], ids[0]])
    where.goToSlide(ids[1]!)
    expect(where.moment).toMatchObject({ slide: ids[1], beat: 0 })
    where.goTo({ slide: ids[2]!, beat: 0, seconds: 0 })
    expect([where.slideId, where.moment]).toEqual([ids[2], { slide: ids[2], beat: 0, seconds: 0 }])
  })

  it('is the neighbour of a slide that goes', () => {
    const { store, where, ids } = openDeck()
    where.goToSlide(ids[1]!)
    store.edit('take away', removeSlides(store.current, { slides: [ids[1]!] }))
    expect(where.slideId).toBe(ids[2])
    store.edit('take away', removeSlides(store.current, { slides: [ids[2]!] }))
    expect(where.slideId).toBe(ids[0])
  })

  it('is the slide again once the look that is worked on is gone, and a form holds only slides', () => {
    const { store, where, ids } = openDeck()
    store.edit('hand out', [setRecord('info', 'info', { form: true })])
    const layout = Object.keys(store.current.layouts)[1]!
    expect(where.isForm).toBe(true)
    where.lookOwner = layout
    expect([where.stageId, where.isForm]).toEqual([layout, false])
    store.edit('take the layout away', [dropRecord('layouts', layout)])
    expect([where.lookOwner, where.stageId]).toEqual([null, ids[0]])
  })

  it('starts anew in another deck', () => {
    const { store, where, ids } = openDeck()
    where.goToSlide(ids[2]!)
    where.playing = true
    store.open('another')
    expect([where.slideId, where.moment, where.playing]).toEqual([null, null, false])
  })

  it('is seen by others, with what is selected', async () => {
    const { where, selected, line, ids } = openDeck()
    const others = new Awareness(new Y.Doc())
    const seen = () => {
      for (const message of line.sent) if (message.kind === 'awareness') applyAwarenessUpdate(others, message.update, 'line')
      return [...others.getStates().values()].at(-1) as { name: string; slide: string; selection: string[] }
    }
    where.goToSlide(ids[1]!)
    selected.select('t1')
    await nextTick()
    expect(seen()).toMatchObject({ name: 'Ines Rahm', slide: ids[1], selection: ['t1'] })
    selected.select(...Array.from({ length: 500 }, (_, index) => `part-${index}`))
    await nextTick()
    expect(seen().selection).toHaveLength(200)
  })
})

describe('what is selected', () => {
  it('goes with its slide, and with its element', () => {
    const { store, where, selected, ids } = openDeck()
    selected.select('t0')
    selected.cueId = 'some'
    where.goTo({ slide: ids[0]!, beat: 0, seconds: 0 })
    expect(selected.elements).toEqual(['t0'])
    where.goToSlide(ids[1]!)
    expect([selected.elements, selected.cueId]).toEqual([[], null])
    selected.select('t1', 't2')
    store.edit('take away', [dropRecord('elements', 't2')])
    expect(selected.elements).toEqual(['t1'])
  })

  it('takes an element in and out', () => {
    const { selected } = openDeck()
    selected.toggle('t0')
    selected.toggle('t1')
    selected.toggle('t0')
    expect(selected.elements).toEqual(['t1'])
  })
})
