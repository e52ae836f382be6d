import { describe, expect, it, vi } from 'vitest'
import { groupElements } from '#core/edits'
import { putRecord } from '#core/model'
import { textElement } from '#core/testing'
import { inPage, openDeck } from '../testing/open-deck'
import { useDeckKeys } from './deck-keys'
import { useStageKeys } from './stage-keys'

function press(key: string, held: KeyboardEventInit = {}, on: EventTarget = document.body) {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...held })
  on.dispatchEvent(event)
  return event.defaultPrevented
}
/** A field with the caret in it. */
function field() {
  const made = document.createElement('input')
  document.body.append(made)
  return made
}

function onStage(role: 'editor' | 'viewer' = 'editor') {
  const opened = openDeck(undefined, role)
  const { store, ids } = opened
  store.edit(
    'add',
    [100, 400].map((x, index) =>
      putRecord('elements', {
        ...textElement(`p${index}`, ids[0]!, ['Part']),
        order: `a${index + 5}`,
        box: { x, y: 100, width: 100, height: 50, angle: 0 },
      }),
    ),
  )
  const went = vi.fn()
  return {
    ...opened,
    stage: useStage(),
    went,
    page: inPage(() => (useStageKeys(went), {})),
    boxOf: (id: string) => store.current.elements[id]!.box!,
  }
}

describe('keys on the stage', () => {
  it('nudge what is selected by eight, by forty with Shift, by one with Alt', () => {
    const { selected, boxOf } = onStage()
    selected.select('p0')
    press('ArrowRight')
    press('ArrowDown', { shiftKey: true })
    press('ArrowLeft', { altKey: true })
    expect(boxOf('p0')).toMatchObject({ x: 107, y: 140 })
  })

  it('select all, hold together, step out, take away, double', () => {
    const { selected, store, stage } = onStage()
    press('a', { ctrlKey: true })
    expect(selected.elements).toEqual(expect.arrayContaining(['p0', 'p1', 't0']))
    selected.select('p0', 'p1')
    press('g')
    const [group] = selected.elements
    expect(store.current.elements[group!]!.kind).toBe('group')
    stage.opened = group!
    selected.select('p0')
    press('Escape')
    expect([stage.opened, selected.elements]).toEqual([null, [group]])
    press('G')
    expect([...selected.elements].sort()).toEqual(['p0', 'p1'])
    selected.select('p1')
    press('d', { ctrlKey: true })
    expect(selected.elements[0]).not.toBe('p1')
    press('Delete')
    expect(selected.elements).toEqual([])
    press('Escape')
  })

  it('go into the one that is selected, and leave a tool first', () => {
    const { selected, stage, went } = onStage()
    selected.select('p0')
    press('Enter')
    expect(went).toHaveBeenCalledWith(expect.objectContaining({ id: 'p0' }))
    stage.tool = 'curve'
    press('Escape')
    expect([stage.tool, selected.elements]).toEqual([null, ['p0']])
  })

  it('are letters in a field, and belong to a dialog that is open', () => {
    const { selected, store } = onStage()
    selected.select('p0')
    const written = field()
    expect(press('Delete', {}, written)).toBe(false)
    written.remove()
    const dialog = document.createElement('div')
    dialog.setAttribute('role', 'dialog')
    document.body.append(dialog)
    press('Delete')
    dialog.remove()
    expect(store.current.elements.p0).toBeDefined()
    press('Delete')
    expect(store.current.elements.p0).toBeUndefined()
  })

  it('belong to a menu or a list of choices while it is open, and to what takes letters by itself', () => {
    const { selected, boxOf } = onStage()
    selected.select('p0')
    const shows = (role: string, state?: string) => {
      const made = document.createElement('div')
      made.setAttribute('role', role)
      if (state) made.dataset.state = state
      document.body.append(made)
      return made
    }
    for (const [role, state] of [['menu'], ['listbox', 'open'], ['alertdialog']] as const) {
      const made = shows(role, state)
      press('ArrowRight')
      made.remove()
    }
    const choice = shows('combobox')
    press('ArrowRight', {}, choice)
    choice.remove()
    expect(boxOf('p0').x).toBe(100)
    // A list that stands in the page is none that is open over it.
    const list = shows('listbox')
    press('ArrowRight')
    list.remove()
    expect(boxOf('p0').x).toBe(108)
  })

  it('are not heard by the stage where something nearer has taken them', () => {
    const { selected, boxOf } = onStage()
    selected.select('p0')
    const handle = document.createElement('button')
    handle.addEventListener('keydown', event => event.preventDefault())
    document.body.append(handle)
    press('ArrowRight', {}, handle)
    handle.remove()
    expect(boxOf('p0').x).toBe(100)
  })

  it('change nothing for whoever may only look, who goes nearer and farther all the same', () => {
    const { selected, store, stage } = onStage('viewer')
    selected.select('t0')
    const [before, zoom] = [store.current, stage.zoom]
    for (const key of ['ArrowRight', 'Delete', 'g']) press(key)
    expect(store.current).toBe(before)
    press('+')
    expect(stage.zoom).toBeCloseTo(zoom * 1.25)
    press('-')
    expect(stage.zoom).toBeCloseTo(zoom)
  })

  it('are not heard once the page is left', () => {
    const { selected, store, page } = onStage()
    selected.select('p0')
    page.leave()
    press('Delete')
    expect(store.current.elements.p0).toBeDefined()
  })

  it('select whole groups, and within an opened one its parts', () => {
    const { selected, store, stage } = onStage()
    store.edit('group', groupElements(store.current, { elements: ['p0', 'p1'] }, store.context))
    const group = Object.values(store.current.elements).find(element => element.kind === 'group')!.id
    press('a', { ctrlKey: true })
    expect(selected.elements).toContain(group)
    expect(selected.elements).not.toContain('p0')
    stage.opened = group
    press('a', { ctrlKey: true })
    expect(selected.elements).toEqual(expect.arrayContaining(['p0', 'p1']))
  })
})

describe('keys of a deck’s page', () => {
  function inDeck() {
    const opened = openDeck()
    const [go, find, tellKeys] = [vi.fn(), vi.fn(), vi.fn()]
    inPage(() => (useDeckKeys({ go, find, tellKeys }), {}))
    return { ...opened, go, find, tellKeys }
  }

  it('open phases with Alt and a digit, the finder with a slash, the keys with a question mark', () => {
    const { go, find, tellKeys } = inDeck()
    press('3', { altKey: true, code: 'Digit3' })
    press('/')
    press('?')
    expect(go).toHaveBeenCalledWith('time')
    expect([find.mock.calls.length, tellKeys.mock.calls.length]).toEqual([1, 1])
  })

  it('take back and do again, not in a field, which has an undo of its own', () => {
    const { store } = inDeck()
    store.edit('rename', [{ do: 'set', table: 'info', id: 'info', fields: { title: 'Mine' } }])
    const written = field()
    press('z', { ctrlKey: true }, written)
    written.remove()
    expect(store.current.info.info!.title).toBe('Mine')
    press('z', { ctrlKey: true })
    expect(store.current.info.info!.title).toBe('Spring timetable')
    press('Z', { ctrlKey: true, shiftKey: true })
    expect(store.current.info.info!.title).toBe('Mine')
  })

  it('take back what was done in a pop-over while it is open, and do nothing else then', () => {
    const { store, go, find } = inDeck()
    store.edit('rename', [{ do: 'set', table: 'info', id: 'info', fields: { title: 'Mine' } }])
    const dialog = document.createElement('div')
    dialog.setAttribute('role', 'dialog')
    document.body.append(dialog)
    press('/')
    press('3', { altKey: true, code: 'Digit3' })
    press('z', { ctrlKey: true })
    dialog.remove()
    expect([go.mock.calls, find.mock.calls]).toEqual([[], []])
    expect(store.current.info.info!.title).toBe('Spring timetable')
  })

  it('go on and back by a thirtieth of a second, or by a beat', () => {
    const { where, ids } = inDeck()
    where.goTo({ slide: ids[0]!, beat: 0, seconds: 1 })
    press('.', { code: 'Period' })
    expect(where.moment!.seconds).toBeCloseTo(1 + 1 / 30)
    press(',', { code: 'Comma' })
    press(',', { code: 'Comma' })
    expect(where.moment!.seconds).toBeCloseTo(1 - 1 / 30)
    press(':', { code: 'Period', shiftKey: true })
    expect(where.slideId).toBe(ids[1])
    press(';', { code: 'Comma', shiftKey: true })
    expect(where.slideId).toBe(ids[0])
  })

  it('let Space press a button that has the focus', () => {
    const { where } = inDeck()
    const button = document.createElement('button')
    document.body.append(button)
    expect(press(' ', {}, button)).toBe(false)
    button.remove()
    expect(where.playing).toBe(false)
  })
})
