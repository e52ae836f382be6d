import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { loopLength, loopPosition, shares } from './index'

const items = fc
  .array(fc.record({ length: fc.integer({ min: 0, max: 900 }).map(tenths => tenths / 10) }), { minLength: 1, maxLength: 12 })
  .filter(list => loopLength(list) > 0)
const instant = fc.integer({ min: 1_700_000_000_000, max: 2_500_000_000_000 })

describe('a loop on the wall clock', () => {
  it('is always inside one of its items', () => {
    fc.assert(
      fc.property(items, instant, (list, at) => {
        const position = loopPosition(list, at)!
        expect(list[position.index]!.length).toBeGreaterThan(0)
        expect(position.seconds).toBeGreaterThanOrEqual(0)
        expect(position.seconds).toBeLessThanOrEqual(list[position.index]!.length)
      }),
    )
  })

  it('is where it was one whole round earlier', () => {
    fc.assert(
      fc.property(items, instant, (list, at) => {
        const round = Math.round(loopLength(list) * 1000)
        const [now, before] = [loopPosition(list, at)!, loopPosition(list, at - round)!]
        expect([now.index, now.round]).toEqual([before.index, before.round + 1])
        expect(now.seconds).toBeCloseTo(before.seconds, 3)
      }),
    )
  })

  it('goes on from item to item as time does', () => {
    const list = [{ length: 10 }, { length: 0 }, { length: 5 }]
    const start = Math.floor(1_790_000_000_000 / 15_000) * 15_000
    expect([0, 9.9, 10, 14.9, 15].map(seconds => loopPosition(list, start + seconds * 1000)!.index)).toEqual([0, 0, 2, 2, 0])
  })

  it('has shares that add up to one, and no position without length', () => {
    fc.assert(
      fc.property(items, list => {
        expect(shares(list).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 9)
      }),
    )
    expect(loopPosition([{ length: 0 }], 5)).toBeNull()
    expect(loopPosition([], 5)).toBeNull()
  })
})
