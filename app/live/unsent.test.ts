import 'fake-indexeddb/auto'
import { describe, expect, it } from 'vitest'
import { unsentDecks, unsentOf } from './unsent'

const bytes = (...numbers: number[]) => Uint8Array.from(numbers)

describe('what is not sent yet', () => {
  it('is found by another page of this browser, in its order, for this person and deck alone', async () => {
    const page = unsentOf('ines', 'timetable')
    page.name('Spring timetable')
    for (const number of [1, 2, 10]) expect(await page.put(number, bytes(number))).toBe(true)
    await unsentOf('ines', 'another').put(1, bytes(77))
    await unsentOf('piet', 'timetable').put(1, bytes(88))
    const later = unsentOf('ines', 'timetable')
    expect((await later.all()).map(update => [...update])).toEqual([[1], [2], [10]])
  })

  it('is forgotten up to what the server has, with what was taken over from pages that are gone', async () => {
    const before = unsentOf('mara', 'routes')
    await before.put(1, bytes(1))
    await before.put(2, bytes(2))
    const page = unsentOf('mara', 'routes')
    await page.all()
    await page.put(1, bytes(3))
    await page.put(2, bytes(4))
    await page.drop(1)
    expect((await unsentOf('mara', 'routes').all()).map(update => [...update])).toEqual([[4]])
    await page.drop(2)
    expect(await unsentOf('mara', 'routes').all()).toEqual([])
  })

  it('is told of by deck, with its name and since when', async () => {
    const start = Date.now()
    const named = unsentOf('jonne', 'hall')
    named.name('The hall')
    await named.put(1, bytes(1))
    await named.put(2, bytes(1))
    await unsentOf('jonne', 'review').put(1, bytes(1))
    const found = await unsentDecks('jonne')
    expect(found.map(({ deck, title }) => [deck, title]).sort()).toEqual([
      ['hall', 'The hall'],
      ['review', 'a deck'],
    ])
    for (const { since } of found) expect(since.getTime()).toBeGreaterThanOrEqual(start)
    expect(await unsentDecks('nobody')).toEqual([])
  })
})
