import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  amountsIn,
  drawnLine,
  findShapes,
  lineThrough,
  linePath,
  outlineOf,
  placedPoints,
  placeLine,
  roomInset,
  shapeNamed,
  shapes,
  thinned,
  touches,
} from './index'
import { isWithin } from '../place'
import { pointsAlong } from './shape'

const size = fc.record({ width: fc.integer({ min: 10, max: 1200 }), height: fc.integer({ min: 10, max: 1200 }) })
describe('the catalogue of shapes', () => {
  it('holds at least forty, each with a name of its own, found by name and by what it is for', () => {
    expect(shapes.length).toBeGreaterThanOrEqual(40)
    expect(new Set(shapes.map(shape => shape.name)).size).toBe(shapes.length)
    for (const shape of shapes) expect(findShapes(shape.label), shape.name).toContain(shape)
    expect(findShapes('no such thing at all')).toEqual([])
  })

  it.each(shapes.filter(shape => shape.group !== 'callouts').map(shape => [shape.name, shape] as const))(
    '%s stays in its box, whatever varies in it',
    (name, shape) => {
      fc.assert(
        fc.property(size, fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 8, maxLength: 8 }), (box, shares) => {
          const amounts = Object.fromEntries(
            (shape.amounts ?? []).map((amount, index) => [amount.name, amount.min + (amount.max - amount.min) * shares[index]!]),
          )
          const points = pointsAlong(outlineOf({ shape: name, amounts }, box))
          expect(points.length).toBeGreaterThan(2)
          const slack = 0.5
          const isIn = ([x, y]: readonly [number, number]) =>
            x >= -slack && y >= -slack && x <= box.width + slack && y <= box.height + slack
          expect(points.find(point => !isIn(point))).toBeUndefined()
        }),
        { numRuns: 40 },
      )
    },
  )

  it('has handles that put back what they read', () => {
    for (const shape of shapes) {
      for (const amount of shape.amounts ?? []) {
        if (!amount.at || !amount.read) continue
        const box = { width: 400, height: 300 }
        const amounts = amountsIn({ shape: shape.name }, box)
        const value = amounts[amount.name] ?? amount.initial
        expect(amount.read(amount.at(value, box, amounts), box, amounts), `${shape.name} ${amount.name}`).toBeCloseTo(value, 1)
      }
    }
  })

  it('draws a name that it does not know as a rectangle', () => {
    expect(shapeNamed('from a later version')).toBe(shapeNamed('rectangle'))
  })
})

describe('lines', () => {
  const point = fc.record({ x: fc.integer({ min: -500, max: 2000 }), y: fc.integer({ min: -500, max: 2000 }) })
  it('keep their points through the box that is made around them', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 2, maxLength: 12 }), points => {
        const placed = placeLine({}, points)
        placedPoints({ line: placed.line }, placed.box).forEach((made, index) => {
          expect(Math.abs(made.x - points[index]!.x)).toBeLessThan(3)
          expect(Math.abs(made.y - points[index]!.y)).toBeLessThan(3)
        })
      }),
    )
  })

  it('are touched along their course, and not beside it', () => {
    const through = lineThrough([
      { x: 0, y: 0 },
      { x: 400, y: 300 },
    ])
    const element = {
      id: 'l',
      owner: 's',
      kind: 'shape' as const,
      name: 'L',
      order: 'a0',
      shape: 'line',
      line: { way: 'straight' as const, points: through.points },
      stroke: { color: { role: 'ink' as const }, width: 4 },
      box: through.box,
    }
    expect(touches(element, { x: 200, y: 150 }, 5)).toBe(true)
    expect(touches(element, { x: 380, y: 20 }, 5)).toBe(false)
  })

  it('stop short of the heads at their ends', () => {
    const plain = drawnLine({ stroke: { color: { role: 'ink' }, width: 8 } }, { width: 300, height: 20 })
    const headed = drawnLine(
      { stroke: { color: { role: 'ink' }, width: 8 }, ends: { start: 'none', end: 'solid' } },
      { width: 300, height: 20 },
    )
    const end = (d: string) => pointsAlong(d).at(-1)![0]
    expect(end(headed.path)).toBeLessThan(end(plain.path))
    expect(headed.marks).toHaveLength(1)
  })

  it('by hand are thinned to what matters: nowhere farther than the slack, both ends kept', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 120 }), fc.integer({ min: 1, max: 40 }), (points, slack) => {
        const kept = thinned(points, slack)
        expect(kept[0]).toEqual(points[0])
        expect(kept.at(-1)).toEqual(points.at(-1))
        const away = (p: { x: number; y: number }) =>
          Math.min(
            ...kept.slice(1).map((to, index) => {
              const from = kept[index]!
              const length = (to.x - from.x) ** 2 + (to.y - from.y) ** 2
              const t = length
                ? Math.min(1, Math.max(0, ((p.x - from.x) * (to.x - from.x) + (p.y - from.y) * (to.y - from.y)) / length))
                : 0
              return Math.hypot(p.x - from.x - t * (to.x - from.x), p.y - from.y - t * (to.y - from.y))
            }),
          )
        for (const p of points) expect(away(p)).toBeLessThanOrEqual(slack + 1e-6)
      }),
    )
  })

  it('are written as paths in every way', () => {
    for (const way of ['straight', 'curve', 'elbow', 'freehand'] as const)
      expect(
        linePath(way, [
          [0, 0],
          [50, 40],
          [100, 0],
          [160, 90],
        ]),
      ).toMatch(/^M0 0/)
  })
})

describe('words in a shape', () => {
  it.each(shapes.map(shape => [shape.name]))('%s has room for them whose corners lie within it, or as much as may be', name => {
    fc.assert(
      fc.property(size, ({ width, height }) => {
        const panel = { fill: null, padding: 0, radius: 20, shape: name }
        const inset = roomInset(panel, width, height)
        expect(inset).toBeGreaterThanOrEqual(0)
        expect(inset).toBeLessThanOrEqual(0.3 * Math.min(width, height) + 1e-9)
        const outline = pointsAlong(outlineOf({ shape: name, radius: 20 }, { width, height }))
        const corners = [inset + 0.01, width - inset - 0.01].flatMap(x => [inset + 0.01, height - inset - 0.01].map(y => [x, y] as const))
        const holds = corners.every(([x, y]) => isWithin(outline, x, y))
        expect(holds || inset > 0.29 * Math.min(width, height)).toBe(true)
      }),
      { numRuns: 20 },
    )
  })

  it('is all of a rectangle, and little less of a wide ellipse', () => {
    const panel = { fill: null, padding: 0, radius: 0 }
    expect(roomInset({ ...panel, shape: 'rectangle' }, 400, 200)).toBe(0)
    const ellipse = roomInset({ ...panel, shape: 'ellipse' }, 400, 200)
    expect(ellipse).toBeGreaterThan(20)
    expect(ellipse).toBeLessThan(60)
  })
})
