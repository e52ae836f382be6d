import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { markShapes, shapeOf, type ChartMark, type MarkShapeName } from './index'

const px = fc.double({ min: -2000, max: 2000, noNaN: true, noDefaultInfinity: true })
const length = fc.double({ min: 0, max: 2000, noNaN: true, noDefaultInfinity: true })
const point = fc.record({ x: px, y: px })
const points = fc.array(point, { minLength: 2, maxLength: 12 })
const drawn = { key: fc.constant('Astrel'), part: fc.nat(20), value: fc.option(px), highlighted: fc.boolean() }

const any: { [S in MarkShapeName]: fc.Arbitrary<Extract<ChartMark, { shape: S }>> } = {
  bar: fc.record({ ...drawn, shape: fc.constant('bar'), x: px, y: px, width: length, height: length, negative: fc.boolean() }),
  line: fc.record({ ...drawn, shape: fc.constant('line'), points, width: length, foot: px }),
  area: fc.record({ ...drawn, shape: fc.constant('area'), top: points, bottom: points, foot: px }),
  point: fc.record({ ...drawn, shape: fc.constant('point'), x: px, y: px, radius: length, foot: px }),
  arc: fc
    .record({
      ...drawn,
      shape: fc.constant('arc' as const),
      x: px,
      y: px,
      from: fc.nat(300),
      until: fc.nat(300),
      inner: length,
      outer: length,
    })
    .map(arc => ({ ...arc, until: arc.from + arc.until / 5 })),
  cell: fc.record({
    ...drawn,
    shape: fc.constant('cell'),
    x: px,
    y: px,
    width: length,
    height: length,
  }),
  text: fc.record({ ...drawn, shape: fc.constant('text'), x: px, y: px, text: fc.string(), size: length, weight: fc.constant(600) }),
  link: fc.record({ ...drawn, shape: fc.constant('link'), from: point, to: point, width: length }),
  region: fc.record({
    ...drawn,
    shape: fc.constant('region'),
    d: fc.constant('M0 0L10 0L5 8Z'),
    plane: fc.constant('the world'),
    view: fc.record({ scale: fc.double({ min: 0.01, max: 20, noNaN: true }), x: px, y: px }),
    middle: fc.constant({ x: 5, y: 4 }),
  }),
  path: fc.record({ ...drawn, shape: fc.constant('path'), d: fc.constant('M0 0L10 0L5 8Z'), middle: point }),
}
const shapes = Object.keys(markShapes) as MarkShapeName[]
/** Numbers of an SVG attribute. */
const numbersIn = (value: string | number) =>
  typeof value === 'number' ? [value] : (value.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number)

describe.each(shapes)('a mark that is a %s', name => {
  const arbitrary = any[name] as fc.Arbitrary<ChartMark>

  it('is each of two at their ends, and stands between them on the way', () => {
    fc.assert(
      fc.property(arbitrary, arbitrary, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, progress) => {
        const shape = shapeOf(a)
        const anchors = [
          shape.anchor(shape.between(a, b, 0)),
          shape.anchor(shape.between(a, b, 1)),
          shape.anchor(shape.between(a, b, progress)),
        ]
        const [first, last] = [shape.anchor(a), shape.anchor(b)]
        expect(anchors[0]!.x).toBeCloseTo(first.x, 4)
        expect(anchors[0]!.y).toBeCloseTo(first.y, 4)
        expect(anchors[1]!.x).toBeCloseTo(last.x, 4)
        expect(anchors[1]!.y).toBeCloseTo(last.y, 4)
        // An arc goes about its middle: its anchor need not lie on the straight way.
        if (name !== 'arc') {
          expect(anchors[2]!.x).toBeGreaterThanOrEqual(Math.min(first.x, last.x) - 1)
          expect(anchors[2]!.x).toBeLessThanOrEqual(Math.max(first.x, last.x) + 1)
        }
      }),
    )
  })

  it('can be drawn whatever it is, come or gone', () => {
    fc.assert(
      fc.property(arbitrary, mark => {
        const shape = shapeOf(mark)
        for (const one of [mark, shape.collapsed(mark)]) {
          const { attributes } = shape.node(one)
          for (const value of Object.values(attributes)) expect(numbersIn(value).every(Number.isFinite)).toBe(true)
          for (const size of ['width', 'height', 'r'] as const) if (size in attributes) expect(attributes[size]).toBeGreaterThanOrEqual(0)
        }
      }),
    )
  })

  it('is seen nowhere once it has gone', () => {
    const room = (mark: ChartMark) => {
      if (mark.shape === 'bar') return mark.height
      if (mark.shape === 'cell') return mark.width * mark.height
      if (mark.shape === 'point') return mark.radius
      if (mark.shape === 'text') return mark.size
      if (mark.shape === 'link') return mark.width
      if (mark.shape === 'arc') return mark.until - mark.from
      if (mark.shape === 'line') return Math.max(...mark.points.map(({ y }) => Math.abs(y - mark.foot)))
      if (mark.shape === 'area') return mark.top === mark.bottom ? 0 : 1
      if (mark.shape === 'region') return mark.opacity ?? 1
      return mark.d.includes('L') ? 1 : 0
    }
    fc.assert(
      fc.property(arbitrary, mark => {
        expect(room(shapeOf(mark).collapsed(mark))).toBe(0)
      }),
    )
  })
})
