import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isWithin, withinOf } from './within'

describe('places within closed outlines', () => {
  it('are the same ones whether asked for singly or level by level', () => {
    const coordinate = fc.integer({ min: -50, max: 50 })
    const point = fc.tuple(coordinate, coordinate)
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 40 }), fc.array(point, { minLength: 1, maxLength: 60 }), (outline, places) => {
        const lies = withinOf(outline)
        for (const [x, y] of places) expect(lies(x + 0.5, y)).toBe(isWithin(outline, x + 0.5, y))
      }),
    )
  })
  it('are none of an outline without area', () => {
    expect(withinOf([])(1, 1)).toBe(false)
    expect(withinOf([[3, 3]])(3, 3)).toBe(false)
  })
})
