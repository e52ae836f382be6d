import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Box } from '../values'
import type { Bounds, Point } from './bounds'
import { bestPorts, crosses, curveBetween, portOf, routeAround, type Port } from './route'

const box = (x: number, y: number, width: number, height: number, angle = 0): Box => ({ x, y, width, height, angle })
const rounded = (points: readonly Point[]) => points.map(({ x, y }) => [Math.round(x), Math.round(y)])
const lengthOf = (points: readonly Point[]) =>
  points.slice(1).reduce((sum, { x, y }, at) => sum + Math.abs(x - points[at]!.x) + Math.abs(y - points[at]!.y), 0)
const right: Point = { x: 1, y: 0 }
const left: Point = { x: -1, y: 0 }

describe('where a line leaves a box', () => {
  it('is the middle of the side, straight out of it', () => {
    const from = box(100, 50, 200, 100)
    expect(portOf(from, 'left')).toEqual({ point: { x: 100, y: 100 }, out: { x: -1, y: 0 } })
    expect(portOf(from, 'right')).toEqual({ point: { x: 300, y: 100 }, out: { x: 1, y: 0 } })
    expect(portOf(from, 'top')).toEqual({ point: { x: 200, y: 50 }, out: { x: 0, y: -1 } })
    expect(portOf(from, 'bottom')).toEqual({ point: { x: 200, y: 150 }, out: { x: 0, y: 1 } })
  })
  it('turns with the box, and goes out level or upright, whichever is nearer', () => {
    const top = portOf(box(0, 0, 100, 100, 90), 'top')
    expect(rounded([top.point])).toEqual([[100, 50]])
    expect(top.out).toEqual({ x: 1, y: 0 })
    expect(portOf(box(0, 0, 100, 100, 20), 'top').out).toEqual({ x: 0, y: -1 })
    expect(portOf(box(0, 0, 100, 100, 200), 'top').out).toEqual({ x: 0, y: 1 })
    expect(portOf(box(0, 0, 100, 100, 300), 'top').out).toEqual({ x: -1, y: 0 })
    // All the way round is not turned.
    expect(portOf(box(0, 0, 100, 100, 360), 'top').out).toEqual({ x: 0, y: -1 })
  })
  it('is on the sides that face each other', () => {
    const middle = box(500, 500, 100, 100)
    const facing = (other: Box) => {
      const { from, to } = bestPorts(middle, other)
      return [from.out, to.out]
    }
    expect(facing(box(900, 500, 100, 100))).toEqual([right, left])
    expect(facing(box(100, 500, 100, 100))).toEqual([left, right])
    expect(facing(box(500, 100, 100, 100))).toEqual([
      { x: 0, y: -1 },
      { x: 0, y: 1 },
    ])
    expect(facing(box(500, 900, 100, 100))).toEqual([
      { x: 0, y: 1 },
      { x: 0, y: -1 },
    ])
  })
  it('stays on a side that was chosen', () => {
    const chosen = bestPorts(box(0, 0, 100, 100), box(400, 0, 100, 100), { from: 'top' })
    expect(chosen.from.out).toEqual({ x: 0, y: -1 })
    const both = bestPorts(box(0, 0, 100, 100), box(400, 0, 100, 100), { from: 'left', to: 'right' })
    expect([both.from.out, both.to.out]).toEqual([left, right])
  })
})

describe('a stretch', () => {
  const wall: Bounds = { left: 10, top: 10, right: 20, bottom: 20 }
  it.each([
    ['through', { x: 0, y: 15 }, { x: 30, y: 15 }, true],
    ['from the other end', { x: 30, y: 15 }, { x: 0, y: 15 }, true],
    ['on end', { x: 15, y: 0 }, { x: 15, y: 30 }, true],
    ['into', { x: 0, y: 15 }, { x: 11, y: 15 }, true],
    ['along its upper edge', { x: 0, y: 10 }, { x: 30, y: 10 }, false],
    ['along its lower edge', { x: 0, y: 20 }, { x: 30, y: 20 }, false],
    ['along its left edge', { x: 10, y: 0 }, { x: 10, y: 30 }, false],
    ['along its right edge', { x: 20, y: 0 }, { x: 20, y: 30 }, false],
    ['up to it', { x: 0, y: 15 }, { x: 10, y: 15 }, false],
    ['beside it', { x: 0, y: 5 }, { x: 30, y: 5 }, false],
  ] as const)('%s', (_name, a, b, through) => expect(crosses(a, b, wall)).toBe(through))
})

describe('a route', () => {
  const from: Port = { point: { x: 0, y: 0 }, out: right }
  it('is straight where nothing stands in its way', () => {
    expect(routeAround(from, { point: { x: 300, y: 0 }, out: left }, [])).toEqual([
      { x: 0, y: 0 },
      { x: 300, y: 0 },
    ])
  })
  it('bends in the middle where the other stands higher', () => {
    expect(routeAround(from, { point: { x: 300, y: 100 }, out: left }, [])).toEqual([
      { x: 0, y: 0 },
      { x: 150, y: 0 },
      { x: 150, y: 100 },
      { x: 300, y: 100 },
    ])
  })
  it('with one bend arrives from above', () => {
    expect(routeAround(from, { point: { x: 300, y: 200 }, out: { x: 0, y: -1 } }, [])).toEqual([
      { x: 0, y: 0 },
      { x: 300, y: 0 },
      { x: 300, y: 200 },
    ])
  })
  it('goes out as it is told before it turns back, around what it comes from', () => {
    const own: Bounds = { left: -100, top: -50, right: 0, bottom: 60 }
    const other: Bounds = { left: -400, top: -50, right: -300, bottom: 50 }
    const back = routeAround(from, { point: { x: -300, y: 0 }, out: right }, [own, other], 20)
    expect(back).toEqual([
      { x: 0, y: 0 },
      { x: 20, y: 0 },
      { x: 20, y: -70 },
      { x: -130, y: -70 },
      { x: -130, y: 0 },
      { x: -300, y: 0 },
    ])
  })
  it('goes around what stands in its way, on the shorter side, as far off as is wished', () => {
    const wall: Bounds = { left: 120, top: -30, right: 180, bottom: 200 }
    const around = routeAround(from, { point: { x: 300, y: 0 }, out: left }, [wall], 24)
    expect(Math.min(...around.map(point => point.y))).toBe(-54)
    expect(Math.max(...around.map(point => point.y))).toBe(0)
    const lower: Bounds = { left: 120, top: -200, right: 180, bottom: 30 }
    expect(Math.max(...routeAround(from, { point: { x: 300, y: 0 }, out: left }, [lower], 10).map(point => point.y))).toBe(40)
  })
  it('takes a longer way for a bend less, but not any', () => {
    // Without a direction of their own: one bend, not two.
    const free = routeAround({ point: { x: 0, y: 0 }, out: null }, { point: { x: 200, y: 100 }, out: null }, [])
    expect(free).toHaveLength(3)
    expect(lengthOf(free)).toBe(300)
  })
  it('goes straight through where there is no way around, and through what it stands in', () => {
    const everywhere: Bounds[] = [
      { left: -400, top: -400, right: 400, bottom: -40 },
      { left: -400, top: 40, right: 400, bottom: 400 },
      { left: 100, top: -400, right: 200, bottom: 400 },
      { left: -400, top: -400, right: -60, bottom: 400 },
    ]
    const through = routeAround(from, { point: { x: 300, y: 0 }, out: left }, everywhere)
    expect(through[0]).toEqual({ x: 0, y: 0 })
    expect(through.at(-1)).toEqual({ x: 300, y: 0 })
    const standing: Bounds = { left: -50, top: -50, right: 50, bottom: 50 }
    expect(routeAround(from, { point: { x: 300, y: 0 }, out: left }, [standing])).toHaveLength(2)
  })
  it('heeds the obstacles nearest to it where there are very many', () => {
    const far = Array.from({ length: 60 }, (_, at): Bounds => ({ left: 5000 + at, top: 5000, right: 5010 + at, bottom: 5010 }))
    const wall: Bounds = { left: 120, top: -30, right: 180, bottom: 200 }
    const around = routeAround(from, { point: { x: 300, y: 0 }, out: left }, [...far, wall], 24)
    expect(Math.min(...around.map(point => point.y))).toBe(-54)
  })
  it('is never longer than going around the whole of what stands there, and never leaves level and upright', () => {
    const spans = fc.record({
      left: fc.integer({ min: 60, max: 200 }),
      top: fc.integer({ min: -150, max: 100 }),
      wide: fc.integer({ min: 10, max: 60 }),
      high: fc.integer({ min: 10, max: 120 }),
    })
    fc.assert(
      fc.property(fc.array(spans, { maxLength: 3 }), fc.integer({ min: -200, max: 200 }), (walls, y) => {
        const obstacles = walls.map(({ left: x, top, wide, high }): Bounds => ({ left: x, top, right: x + wide, bottom: top + high }))
        const route = routeAround(from, { point: { x: 400, y }, out: left }, obstacles, 12)
        for (const [at, point] of route.slice(1).entries()) {
          const before = route[at]!
          expect(Math.min(Math.abs(point.x - before.x), Math.abs(point.y - before.y))).toBeLessThan(0.01)
        }
        expect(lengthOf(route)).toBeLessThanOrEqual(400 + Math.abs(y) + 2 * 500)
      }),
    )
  })
})

describe('a curve', () => {
  it('begins and ends at its ports, leaves and arrives straight, and has as many points as wished', () => {
    const points = curveBetween({ point: { x: 0, y: 0 }, out: right }, { point: { x: 200, y: 100 }, out: left }, 8)
    expect(points).toHaveLength(9)
    expect([points[0], points.at(-1)]).toEqual([
      { x: 0, y: 0 },
      { x: 200, y: 100 },
    ])
    expect(points[4]!.x).toBeCloseTo(100)
    expect(points[4]!.y).toBeCloseTo(50)
    const [first, last] = [points[1]!, points.at(-2)!]
    expect(first.x).toBeGreaterThan(Math.abs(first.y) * 2)
    expect(200 - last.x).toBeGreaterThan(Math.abs(100 - last.y) * 2)
  })
  it('without a direction goes straight over, and between near ports still bends', () => {
    const straight = curveBetween({ point: { x: 0, y: 0 }, out: null }, { point: { x: 90, y: 30 }, out: null }, 3)
    for (const [at, point] of straight.entries()) {
      expect(point.x).toBeCloseTo(30 * at)
      expect(point.y).toBeCloseTo(10 * at)
    }
    const near = curveBetween({ point: { x: 0, y: 0 }, out: right }, { point: { x: 10, y: 0 }, out: right }, 16)
    expect(Math.max(...near.map(point => point.x))).toBeGreaterThan(20)
  })
})
