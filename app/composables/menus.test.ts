import type { DropdownMenuItem } from '@nuxt/ui'
import { describe, expect, it } from 'vitest'
import { putRecord, setRecord, slidesOf } from '#core/model'
import { openDeck } from '../testing/open-deck'
import { useElementMenu } from './element-menu'
import { useSlideMenu } from './slide-menu'

const labels = (menu: DropdownMenuItem[][]) => menu.map(list => list.map(item => item.label))
/** Chooses what is called so, as a press on it would. */
const choose = (menu: DropdownMenuItem[][], label: string) => {
  const item = menu.flat().find(one => one.label === label)!
  if (!item.disabled) (item.onSelect as () => void)()
  return item
}

describe('the menu of a slide', () => {
  function opened(role: 'editor' | 'viewer' = 'editor') {
    const made = openDeck(undefined, role)
    return { ...made, slides: useSlideMenu(), order: () => slidesOf(made.store.current).map(({ id }) => id) }
  }

  it('puts a slide after it and goes there, duplicates it, and takes it out', () => {
    const { slides, order, ids, where } = opened()
    choose(slides.menuOf(ids[1]!), 'New slide after it')
    const [, , made] = order()
    expect(order()).toEqual([ids[0], ids[1], made, ids[2]])
    expect(where.slideId).toBe(made)
    choose(slides.menuOf(ids[0]!), 'Duplicate')
    expect(order()).toHaveLength(5)
    expect(order()[0]).toBe(ids[0])
    choose(slides.menuOf(made!), 'Remove')
    expect(order()).not.toContain(made)
  })

  it('moves it earlier and later, but not beyond the ends', () => {
    const { slides, order, ids } = opened()
    expect(choose(slides.menuOf(ids[0]!), 'Earlier').disabled).toBe(true)
    expect(choose(slides.menuOf(ids[2]!), 'Later').disabled).toBe(true)
    expect(order()).toEqual(ids)
    choose(slides.menuOf(ids[0]!), 'Later')
    expect(order()).toEqual([ids[1], ids[0], ids[2]])
    choose(slides.menuOf(ids[2]!), 'Earlier')
    expect(order()).toEqual([ids[1], ids[2], ids[0]])
  })

  it('leaves it out in play, and says the other way round from then on', () => {
    const { slides, store, ids } = opened()
    choose(slides.menuOf(ids[1]!), 'Skip in play')
    expect(store.current.slides[ids[1]!]!.skipped).toBe(true)
    choose(slides.menuOf(ids[1]!), 'Show in play again')
    expect(store.current.slides[ids[1]!]!.skipped).toBeUndefined()
  })

  it('is empty for whoever may only look, and where there is no such slide', () => {
    expect(opened('viewer').slides.menuOf(opened('viewer').ids[0]!)).toEqual([])
    const { slides } = opened()
    expect([slides.menuOf(null), slides.menuOf('gone')]).toEqual([[], []])
  })
})

describe('the menu of an element', () => {
  function opened() {
    const made = openDeck()
    const slide = made.ids[0]!
    made.store.edit('add', [
      putRecord('elements', { id: 'mark', owner: slide, kind: 'shape', name: 'Mark', order: 'a9', shape: 'ellipse' } as never),
    ])
    const stage = useStage()
    const shown = (id: string) => stage.elements.find(element => element.id === id)!
    return { ...made, menu: useElementMenu(), shown }
  }

  it('does it with the selection where the element is of it, else with that element alone', () => {
    const { menu, shown, store, selected } = opened()
    selected.select('t0', 'mark')
    choose(menu.menuOf(shown('mark')), 'Lock')
    expect([store.current.elements.t0!.locked, store.current.elements.mark!.locked]).toEqual([true, true])
    choose(menu.menuOf(shown('t0')), 'Unlock')
    expect([store.current.elements.t0!.locked, store.current.elements.mark!.locked]).toEqual([undefined, undefined])
    selected.select('t0')
    choose(menu.menuOf(shown('mark')), 'Hide')
    expect([store.current.elements.t0!.hidden, store.current.elements.mark!.hidden]).toEqual([undefined, true])
    expect(store.undoLabel).toBe('hide Mark')
    choose(menu.menuOf(shown('t0')), 'Delete')
    expect([selected.elements, store.current.elements.t0, !!store.current.elements.mark]).toEqual([[], undefined, true])
  })

  it('offers what can be done now: a group of two, another look where one was copied', () => {
    const { menu, shown, selected, store } = opened()
    expect(labels(menu.menuOf(shown('t0'))).flat()).not.toEqual(expect.arrayContaining(['Group']))
    expect(labels(menu.menuOf(shown('t0'))).flat()).not.toContain('Put the copied look on it')
    choose(menu.menuOf(shown('mark')), 'Copy its look')
    expect(labels(menu.menuOf(shown('t0'))).flat()).toContain('Put the copied look on it')
    selected.select('t0', 'mark')
    choose(menu.menuOf(shown('t0')), 'Group')
    const group = Object.values(store.current.elements).find(({ kind }) => kind === 'group')!
    expect([store.current.elements.t0!.parent, selected.elements]).toEqual([group.id, [group.id]])
  })

  it('has what its place adds first, and nothing on a form or for what the layout holds', () => {
    const { menu, shown, store } = opened()
    expect(labels(menu.menuOf(shown('t0'), [{ label: 'Rename' }]))[0]).toEqual(['Rename'])
    expect(menu.menuOf({ ...shown('t0'), pinned: true })).toEqual([])
    expect(menu.menuOf(null)).toEqual([])
    store.edit('form', [setRecord('info', 'info', { form: true })])
    expect(menu.menuOf(shown('t0'))).toEqual([])
  })
})
