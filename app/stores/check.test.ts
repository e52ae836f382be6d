import { beforeAll, describe, expect, it, vi } from 'vitest'
import { setRecord, textOf } from '#core/model'
import { deliver, openDeck, someDeck } from '../testing/open-deck'

/** So long it waits after the last change before it looks, ms, and some more. */
const waits = 500
// The rules are fetched when they are first needed, which takes real time.
beforeAll(() => import('#core/checks'))

describe('Check', () => {
  it('says nothing before it has looked, then what it found, and looks again after a change', async () => {
    vi.useFakeTimers()
    const { store } = openDeck(someDeck(2))
    const check = useCheck()
    expect([check.looking, check.findings]).toEqual([true, []])
    await vi.advanceTimersByTimeAsync(waits)
    expect(check.looking).toBe(false)
    const crowded = () => check.findings.filter(finding => finding.element === 't1')
    expect(crowded()).toEqual([])
    store.edit('write', [setRecord('elements', 't1', { text: textOf(Array.from({ length: 60 }, (_, index) => `Line ${index} of many`)) })])
    expect(crowded()).toEqual([])
    await vi.advanceTimersByTimeAsync(waits)
    expect(crowded().length).toBeGreaterThan(0)
    store.undo()
    await vi.advanceTimersByTimeAsync(waits)
    expect(crowded()).toEqual([])
  })

  it('waits until typing rests', async () => {
    vi.useFakeTimers()
    const { store } = openDeck()
    const check = useCheck()
    await vi.advanceTimersByTimeAsync(waits)
    const before = check.findings
    for (let time = 0; time < 4; time++) {
      store.editText('write', [setRecord('elements', 't0', { text: textOf([`Word ${time}`]) })])
      await vi.advanceTimersByTimeAsync(200)
      expect(check.findings).toBe(before)
    }
    await vi.advanceTimersByTimeAsync(waits)
    expect(check.findings).not.toBe(before)
  })

  it('knows nothing of a deck that is no longer open', async () => {
    vi.useFakeTimers()
    const { store } = openDeck()
    const check = useCheck()
    store.edit('write', [setRecord('elements', 't0', { text: textOf(Array.from({ length: 90 }, () => 'Too many words for a box')) })])
    await vi.advanceTimersByTimeAsync(waits)
    expect(check.findings.length).toBeGreaterThan(0)
    store.open('another')
    expect([check.looking, check.findings]).toEqual([true, []])
    deliver(someDeck(1))
    await vi.advanceTimersByTimeAsync(waits)
    expect(check.looking).toBe(false)
  })
})
