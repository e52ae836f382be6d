import { describe, expect, it, vi } from 'vitest'
import { inPage, openDeck } from '../testing/open-deck'
import { useDeckKeys } from './deck-keys'
import { useStageKeys } from './stage-keys'

const press = (key: string, more: KeyboardEventInit = {}, target: EventTarget = window) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })
  target.dispatchEvent(event)
  return event.defaultPrevented
}
const put = <T extends HTMLElement>(node: T): T => {
  document.body.append(node)
  return node
}

describe('the keys of a deck’s page', () => {
  function opened() {
    const made = openDeck()
    const does = { go: vi.fn(), find: vi.fn(), tellKeys: vi.fn() }
    inPage(() => useDeckKeys(does))
    return { ...made, does }
  }

  it('lead to the five phases, to what is looked for and to all keys', () => {
    const { does } = opened()
    press('3', { altKey: true, code: 'Digit3' })
    press('/')
    press('?')
    expect([does.go.mock.calls, does.find.mock.calls.length, does.tellKeys.mock.calls.length]).toEqual([[['time']], 1, 1])
  })

  it('step by a frame, and by a beat with Shift', () => {
    const { where, ids } = opened()
    where.goTo({ slide: ids[0]!, beat: 0, seconds: 1 })
    press('.', { code: 'Period' })
    expect(where.moment!.seconds).toBeCloseTo(1 + 1 / 30)
    press(',', { code: 'Comma' })
    press(',', { code: 'Comma' })
    expect(where.moment!.seconds).toBeCloseTo(1 - 1 / 30)
    press('>', { code: 'Period', shiftKey: true })
    expect(where.slideId).toBe(ids[1])
  })

  it('are letters where one writes, and belong to what lies open', () => {
    const { does, where } = opened()
    const field = put(document.createElement('input'))
    expect(press('/', {}, field)).toBe(false)
    const menu = put(Object.assign(document.createElement('div'), { role: 'menu' }))
    menu.setAttribute('role', 'menu')
    expect(press('/')).toBe(false)
    expect(press(' ')).toBe(false)
    menu.remove()
    expect([does.find.mock.calls.length, where.playing]).toEqual([0, false])
    const button = put(document.createElement('button'))
    expect(press(' ', {}, button)).toBe(false)
    for (const node of [field, button]) node.remove()
  })

  it('undo and do again, also while a dialog is open, and never what is written in a field', () => {
    const { store } = opened()
    store.edit('rename', [{ do: 'set', table: 'info', id: 'info', fields: { title: 'Another' } }])
    const dialog = put(document.createElement('div'))
    dialog.setAttribute('role', 'dialog')
    press('z', { ctrlKey: true })
    expect(store.current.info.info!.title).not.toBe('Another')
    press('Z', { ctrlKey: true, shiftKey: true })
    expect(store.current.info.info!.title).toBe('Another')
    const field = dialog.appendChild(document.createElement('textarea'))
    expect(press('z', { ctrlKey: true }, field)).toBe(false)
    expect(store.current.info.info!.title).toBe('Another')
    dialog.remove()
  })
})

describe('the keys of the stage', () => {
  function opened(role: 'editor' | 'viewer' = 'editor') {
    const made = openDeck(undefined, role)
    const open = vi.fn()
    inPage(() => useStageKeys(open))
    const left = () => made.store.current.elements.t0!.box!.x
    return { ...made, open, left, stage: useStage() }
  }

  it('nudge what is selected by 8, by 1 with Alt and by 40 with Shift', () => {
    const { selected, left } = opened()
    expect(press('ArrowRight')).toBe(false)
    selected.select('t0')
    const before = left()
    press('ArrowRight')
    press('ArrowRight', { altKey: true })
    press('ArrowLeft', { shiftKey: true })
    expect(left()).toBe(before + 8 + 1 - 40)
  })

  it('select all, delete, open, and step out', () => {
    const { selected, open, store } = opened()
    press('a', { ctrlKey: true })
    expect(selected.elements).toContain('t0')
    press('Escape')
    expect(selected.elements).toEqual([])
    selected.select('t0')
    press('Enter')
    expect(open).toHaveBeenCalledWith(expect.objectContaining({ id: 't0' }))
    press('Delete')
    expect(store.current.elements.t0).toBeUndefined()
  })

  it('change nothing for whoever may only look', () => {
    const { selected, store, left } = opened('viewer')
    selected.select('t0')
    const before = left()
    press('ArrowRight')
    press('Delete')
    expect([left(), !!store.current.elements.t0]).toEqual([before, true])
  })

  it('go nearer and farther, and fit', () => {
    const { stage } = opened()
    const zoom = stage.zoom
    press('+')
    expect(stage.zoom).toBeCloseTo(zoom * 1.25)
    press('-')
    expect(stage.zoom).toBeCloseTo(zoom)
  })
})
