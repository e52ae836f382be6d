import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { easingOf, namedEasings } from './easing'

describe('easing', () => {
  it.each(Object.entries(namedEasings))('“%s” starts at 0 and ends at 1', (_, easing) => {
    expect(easingOf(easing)(0)).toBeCloseTo(0, 6)
    expect(easingOf(easing)(1)).toBe(1)
  })

  it('follows the cubic Bézier that CSS calls ease', () => {
    const ease = easingOf({ kind: 'cubic-bezier', x1: 0.25, y1: 0.1, x2: 0.25, y2: 1 })
    // Values of the curve computed by sampling it densely.
    for (const [x, y] of [
      [0.25, 0.4085],
      [0.5, 0.8024],
      [0.75, 0.9605],
    ] as const)
      expect(ease(x)).toBeCloseTo(y, 3)
  })

  it('is where CSS says after so many steps', () => {
    const at = (jump: 'start' | 'end' | 'none' | 'both', x: number) => easingOf({ kind: 'steps', count: 4, jump })(x)
    expect([at('end', 0.3), at('start', 0.3), at('none', 0.3), at('both', 0.3)]).toEqual([0.25, 0.5, 1 / 3, 0.4])
  })

  it('springs without a jump at the end, however they are damped', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 800, noNaN: true }),
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (stiffness, damping, mass) => {
          const spring = easingOf({ kind: 'spring', stiffness, damping, mass })
          expect(Math.abs(spring(0.9999) - 1)).toBeLessThan(0.01)
          expect(spring(0.0001)).toBeLessThan(0.2)
        },
      ),
    )
  })
})
