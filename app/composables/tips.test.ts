import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { useTips } from './tips'

let scope: EffectScope
let tips: ReturnType<typeof useTips>
beforeEach(() => {
  vi.useFakeTimers()
  document.body.innerHTML =
    '<button id="a" title="Bring it back" data-keys="Ctrl Z" aria-label="Undo">u</button><button id="b" title="On">o</button><p>words</p>'
  scope = effectScope()
  tips = scope.run(() => useTips())!
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
const control = (id: string) => document.getElementById(id)!
const point = (at: Element) => at.dispatchEvent(new PointerEvent('pointerover', { bubbles: true, pointerType: 'mouse' }))

describe('the tip of a control', () => {
  it('comes once the pointer rests there, with its keys, and in place of the browser’s own', () => {
    point(control('a'))
    expect(tips.tip.value).toBeNull()
    vi.advanceTimersByTime(500)
    expect(tips.tip.value).toMatchObject({ words: 'Bring it back', keys: ['Ctrl', 'Z'] })
    expect(control('a').title).toBe('')
    expect(control('a').getAttribute('aria-description')).toBe('Bring it back')
  })

  it('goes when something else is pointed at, pressed or typed, and the control has its title again', () => {
    for (const leave of [
      () => point(document.querySelector('p')!),
      () => document.body.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true })),
      () => document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'x', bubbles: true })),
    ]) {
      point(control('a'))
      vi.advanceTimersByTime(500)
      leave()
      expect(tips.tip.value).toBeNull()
      expect([control('a').title, control('a').getAttribute('aria-description')]).toEqual(['Bring it back', null])
      vi.advanceTimersByTime(2000)
    }
  })

  it('goes over from one control to the next at once', () => {
    point(control('a'))
    vi.advanceTimersByTime(500)
    point(control('b'))
    expect(tips.tip.value?.words).toBe('On')
  })

  it('never comes for a touch, or for what has gone meanwhile', () => {
    control('a').dispatchEvent(new PointerEvent('pointerover', { bubbles: true, pointerType: 'touch' }))
    vi.advanceTimersByTime(500)
    expect(tips.tip.value).toBeNull()
    point(control('b'))
    control('b').remove()
    vi.advanceTimersByTime(500)
    expect(tips.tip.value).toBeNull()
  })
})
