import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Box } from '../values'
import { freeSpot } from './free-spot'

const size = { width: 1920, height: 1080 }
const box = (x: number, y: number, width = 300, height = 200): Box => ({ x, y, width, height, angle: 0 })

describe('where a new thing goes', () => {
  it('is where it was meant to be, unless another begins there', () => {
    expect(freeSpot(box(100, 100), [box(400, 100), box(100, 400)], size)).toEqual(box(100, 100))
    expect(freeSpot(box(100, 100), [box(104, 96)], size)).toEqual(box(140, 140))
  })

  it('is another place for each of many that are added one after the other, and always on the slide', () => {
    fc.assert(
      fc.property(
        fc.nat(1500),
        fc.nat(900),
        fc.integer({ min: 20, max: 1200 }),
        fc.integer({ min: 20, max: 700 }),
        (x, y, width, height) => {
          const made: Box[] = []
          for (let index = 0; index < 60; index++) made.push(freeSpot(box(x, y, width, height), made, size))
          for (const [index, one] of made.entries()) {
            expect(one.x).toBeLessThan(size.width)
            expect(one.y).toBeLessThan(size.height)
            for (const other of made.slice(0, index)) expect(Math.abs(one.x - other.x) < 12 && Math.abs(one.y - other.y) < 12).toBe(false)
          }
        },
      ),
    )
  })
})
