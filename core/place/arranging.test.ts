import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Box } from '../values'
import {
  align,
  angleAlong,
  bestPorts,
  boundsOf,
  boxOf,
  centerOf,
  crosses,
  cropOf,
  distribute,
  draggedView,
  flipTogether,
  gapsOf,
  overlap,
  resizeTogether,
  routeAround,
  sameSize,
  snapAngle,
  snapMove,
  tidyGrid,
  tidyRows,
  turnTogether,
  zoomedView,
  type Bounds,
  type Edge,
  type Placed,
} from './index'

const upright = fc.record({
  x: fc.integer({ min: 0, max: 1600 }),
  y: fc.integer({ min: 0, max: 900 }),
  width: fc.integer({ min: 20, max: 300 }),
  height: fc.integer({ min: 20, max: 200 }),
  angle: fc.constant(0),
})
const turnedBox = upright.chain(box => fc.integer({ min: 0, max: 359 }).map(angle => ({ ...box, angle })))
const placedOf = (boxes: readonly Box[]): Placed[] => boxes.map((box, index) => ({ id: `p${index}`, boxes: { [`p${index}`]: box } }))
const boundsOfPart = (part: Placed) => boundsOf(...Object.values(part.boxes))
const parts = fc.array(turnedBox, { minLength: 2, maxLength: 8 }).map(placedOf)
const edges = fc.constantFrom<Edge>('left', 'center', 'right', 'top', 'middle', 'bottom')
const edgeOf = (bounds: Bounds, edge: Edge) =>
  ({
    left: bounds.left,
    right: bounds.right,
    center: (bounds.left + bounds.right) / 2,
    top: bounds.top,
    bottom: bounds.bottom,
    middle: (bounds.top + bounds.bottom) / 2,
  })[edge]

describe('a grid within the slide', () => {
  it('stays on the slide, whatever stands where and however many', () => {
    const slide = { left: 0, top: 0, right: 1920, bottom: 1080 }
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            x: fc.integer({ min: 0, max: 1900 }),
            y: fc.integer({ min: 0, max: 1060 }),
            width: fc.integer({ min: 20, max: 900 }),
            height: fc.integer({ min: 20, max: 600 }),
          }),
          { minLength: 2, maxLength: 30 },
        ),
        boxes => {
          const parts = boxes.map((box, index) => ({ id: `p${index}`, boxes: { [`p${index}`]: { ...box, angle: 0 } } }))
          for (const part of tidyGrid(parts, { within: slide })) {
            const [box] = Object.values(part.boxes)
            expect(box!.x).toBeGreaterThanOrEqual(-0.001)
            expect(box!.y).toBeGreaterThanOrEqual(-0.001)
            expect(box!.x + box!.width).toBeLessThanOrEqual(slide.right + 0.001)
            expect(box!.y + box!.height).toBeLessThanOrEqual(slide.bottom + 0.001)
          }
        },
      ),
    )
  })
})

describe('lining up', () => {
  it('brings the chosen edge of every part onto that of the frame and moves nothing along the other axis', () => {
    fc.assert(
      fc.property(parts, edges, (list, edge) => {
        const frame = boundsOf(...list.flatMap(part => Object.values(part.boxes)))
        const made = align(list, edge, frame)
        made.forEach((part, index) => {
          expect(edgeOf(boundsOfPart(part), edge)).toBeCloseTo(edgeOf(frame, edge), 6)
          const [before, after] = [boundsOfPart(list[index]!), boundsOfPart(part)]
          if (edge === 'left' || edge === 'center' || edge === 'right') expect(after.top).toBeCloseTo(before.top, 6)
          else expect(after.left).toBeCloseTo(before.left, 6)
        })
        // Lined up once, it is lined up.
        expect(
          align(made, edge, frame)
            .map(boundsOfPart)
            .map(bounds => edgeOf(bounds, edge)),
        ).toEqual(made.map(boundsOfPart).map(bounds => expect.closeTo(edgeOf(bounds, edge), 6)))
      }),
    )
  })

  it('gives equal gaps, keeps the order and, without a gap of its own, both ends', () => {
    fc.assert(
      fc.property(
        parts,
        fc.constantFrom('across' as const, 'down' as const),
        fc.option(fc.integer({ min: 0, max: 200 }), { nil: undefined }),
        (list, axis, gap) => {
          const made = distribute(list, axis, gap)
          const gaps = gapsOf(made, axis)
          // Where parts overlap by more than they are long, which is the neighbour of which cannot be told from where they stand.
          fc.pre(gaps.every(one => one >= 0))
          for (const one of gaps) expect(one).toBeCloseTo(gap ?? gaps[0]!, 4)
          const near = (part: Placed) => (axis === 'across' ? boundsOfPart(part).left : boundsOfPart(part).top)
          if (gap === undefined) expect(Math.min(...made.map(near))).toBeCloseTo(Math.min(...list.map(near)), 6)
        },
      ),
    )
  })

  it('tidies into rows and grids without one part over another', () => {
    fc.assert(
      fc.property(fc.array(upright, { minLength: 2, maxLength: 12 }).map(placedOf), fc.integer({ min: 1, max: 60 }), (list, gap) => {
        for (const made of [tidyRows(list, gap), tidyGrid(list, { gap })]) {
          const bounds = made.map(boundsOfPart)
          bounds.forEach((a, index) =>
            bounds
              .slice(index + 1)
              .forEach(b =>
                expect(overlap({ left: a.left + 0.01, top: a.top + 0.01, right: a.right - 0.01, bottom: a.bottom - 0.01 }, b)).toBe(false),
              ),
          )
        }
      }),
    )
  })

  it('gives the size of the first to all, each about its own centre', () => {
    fc.assert(
      fc.property(fc.array(turnedBox, { minLength: 1, maxLength: 6 }), boxes => {
        sameSize(boxes, 'both').forEach((box, index) => {
          expect([box.width, box.height]).toEqual([boxes[0]!.width, boxes[0]!.height])
          expect(centerOf(box).x).toBeCloseTo(centerOf(boxes[index]!).x, 6)
        })
      }),
    )
  })
})

describe('several parts together', () => {
  it('turned there and back stand where they stood', () => {
    fc.assert(
      fc.property(fc.array(turnedBox, { minLength: 1, maxLength: 5 }), fc.integer({ min: -360, max: 360 }), (boxes, by) => {
        const center = centerOf(boxOf(boundsOf(...boxes)))
        turnTogether(turnTogether(boxes, center, by), center, -by).forEach((box, index) => {
          expect(box.x).toBeCloseTo(boxes[index]!.x, 4)
          expect(box.y).toBeCloseTo(boxes[index]!.y, 4)
          expect(Math.cos(((box.angle - boxes[index]!.angle) * Math.PI) / 180)).toBeCloseTo(1, 6)
        })
      }),
    )
  })

  it('flipped twice stand where they stood, and the rectangle around them stays', () => {
    fc.assert(
      fc.property(
        fc.array(turnedBox, { minLength: 1, maxLength: 5 }),
        fc.constantFrom('across' as const, 'down' as const),
        (boxes, axis) => {
          const once = flipTogether(
            boxes.map(box => ({ box })),
            axis,
          )
          const [before, after] = [boundsOf(...boxes), boundsOf(...once.map(part => part.box))]
          for (const side of ['left', 'top', 'right', 'bottom'] as const) expect(after[side]).toBeCloseTo(before[side], 4)
          flipTogether(once, axis).forEach((part, index) => {
            expect(part.box.x).toBeCloseTo(boxes[index]!.x, 4)
            expect(part.flip).toEqual({ across: false, down: false })
          })
        },
      ),
    )
  })

  it('resized keep their places in the rectangle around them', () => {
    fc.assert(
      fc.property(
        fc.array(upright, { minLength: 2, maxLength: 5 }),
        fc.integer({ min: 50, max: 3000 }),
        fc.integer({ min: 50, max: 2000 }),
        (boxes, width, height) => {
          const from = boxOf(boundsOf(...boxes))
          const to = { ...from, x: 17, y: 23, width, height }
          const after = boundsOf(...resizeTogether(boxes, from, to))
          expect(after.left).toBeGreaterThanOrEqual(17 - 1.01)
          expect(after.right).toBeLessThanOrEqual(17 + width + 1.01)
          expect(after.bottom).toBeLessThanOrEqual(23 + height + 1.01)
        },
      ),
    )
  })
})

describe('snapping beyond edges', () => {
  const room = { size: { width: 1920, height: 1080 }, margin: 80, reach: 8 }
  it('draws a part to the gap that its neighbours have, and tells the distances', () => {
    const others = [
      { left: 100, top: 100, right: 200, bottom: 200 },
      { left: 240, top: 100, right: 340, bottom: 200 },
    ]
    const { shift, measures } = snapMove([{ x: 385, y: 118, width: 100, height: 60, angle: 0 }], { ...room, others })
    expect(385 + shift.x).toBe(380)
    expect(
      measures.filter(measure => measure.axis === 'x' && measure.equal).map(measure => Math.round(measure.to - measure.from)),
    ).toContain(40)
  })
  it('draws to guides of one’s own, and to nothing where the reach is nought', () => {
    const box = { x: 405, y: 500, width: 50, height: 50, angle: 0 }
    expect(snapMove([box], { ...room, others: [], guides: { x: [400], y: [] } }).shift.x).toBe(-5)
    expect(snapMove([box], { ...room, reach: 0, others: [], guides: { x: [400], y: [] } }).shift).toEqual({ x: 0, y: 0 })
  })
  it('turns to steps of 15°, and to a neighbour’s angle where that is nearer', () => {
    expect(snapAngle(43, [])).toEqual({ angle: 45, to: 'step' })
    expect(snapAngle(37, [38.5])).toEqual({ angle: 38.5, to: 'neighbour' })
    expect(snapAngle(127.5, [38])).toEqual({ angle: 128, to: 'neighbour' })
  })
  it('reads the angle along two points so that words stay upright', () => {
    fc.assert(
      fc.property(fc.integer({ min: -900, max: 900 }), fc.integer({ min: -900, max: 900 }), (x, y) => {
        fc.pre(x !== 0 || y !== 0)
        const angle = angleAlong({ x: 0, y: 0 }, { x, y })
        expect(angle).toBeGreaterThan(-90)
        expect(angle).toBeLessThanOrEqual(90)
        expect(angleAlong({ x, y }, { x: 0, y: 0 })).toBeCloseTo(angle, 6)
      }),
    )
  })
})

describe('a line that goes around', () => {
  const apart = fc
    .tuple(upright, upright)
    .filter(
      ([a, b]) =>
        !overlap(
          boundsOf({ ...a, x: a.x - 60, y: a.y - 60, width: a.width + 120, height: a.height + 120 }),
          boundsOf({ ...b, x: b.x - 60, y: b.y - 60, width: b.width + 120, height: b.height + 120 }),
        ),
    )
  it('runs level and upright from port to port, and through nothing that stands clear of both', () => {
    fc.assert(
      fc.property(apart, fc.array(upright, { maxLength: 5 }), ([from, to], obstacles) => {
        const clear = (box: Box) =>
          [from, to].every(
            end =>
              !overlap(boundsOf({ ...box, x: box.x - 60, y: box.y - 60, width: box.width + 120, height: box.height + 120 }), boundsOf(end)),
          )
        const walls = obstacles.filter(clear).map(box => boundsOf(box))
        // Obstacles that touch each other may leave no way between them.
        fc.pre(
          walls.every((a, index) =>
            walls
              .slice(index + 1)
              .every(b => !overlap({ left: a.left - 60, top: a.top - 60, right: a.right + 60, bottom: a.bottom + 60 }, b)),
          ),
        )
        const ports = bestPorts(from, to)
        const points = routeAround(ports.from, ports.to, walls)
        expect(points[0]).toEqual(ports.from.point)
        expect(points.at(-1)).toEqual(ports.to.point)
        points.slice(1).forEach((point, index) => {
          const before = points[index]!
          expect(Math.min(Math.abs(point.x - before.x), Math.abs(point.y - before.y))).toBeLessThan(0.02)
          for (const wall of walls)
            expect(
              crosses(before, point, { left: wall.left + 0.5, top: wall.top + 0.5, right: wall.right - 0.5, bottom: wall.bottom - 0.5 }),
            ).toBe(false)
        })
      }),
      { numRuns: 200 },
    )
  })
})

describe('a picture in its frame', () => {
  const size = fc.record({ width: fc.integer({ min: 20, max: 3000 }), height: fc.integer({ min: 20, max: 3000 }) })
  const view = fc.record({
    x: fc.double({ min: 0, max: 1, noNaN: true }),
    y: fc.double({ min: 0, max: 1, noNaN: true }),
    zoom: fc.double({ min: 1, max: 20, noNaN: true }),
  })
  it('always covers it, whatever is dragged and zoomed, and keeps its proportion', () => {
    fc.assert(
      fc.property(
        size,
        size,
        view,
        fc.integer({ min: -4000, max: 4000 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (natural, frame, start, by, factor) => {
          for (const next of [
            start,
            draggedView(natural, frame, start, { x: by, y: -by }),
            zoomedView(natural, frame, start, factor, { x: frame.width / 3, y: frame.height / 4 }),
          ]) {
            const crop = cropOf(natural, frame, next)
            expect(crop.x).toBeLessThanOrEqual(0.001)
            expect(crop.y).toBeLessThanOrEqual(0.001)
            expect(crop.x + crop.width).toBeGreaterThanOrEqual(frame.width - 0.01)
            expect(crop.y + crop.height).toBeGreaterThanOrEqual(frame.height - 0.01)
            expect(crop.width / crop.height).toBeCloseTo(natural.width / natural.height, 4)
            expect(next.zoom).toBeGreaterThanOrEqual(1)
          }
        },
      ),
    )
  })
})
