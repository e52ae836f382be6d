import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boundsOf, centerOf, cornersOf, handles, resize, snapMove, snapResize, type SnapRoom } from './index'

const box = fc.record({
  x: fc.integer({ min: -500, max: 2000 }),
  y: fc.integer({ min: -500, max: 2000 }),
  width: fc.integer({ min: 20, max: 900 }),
  height: fc.integer({ min: 20, max: 900 }),
  angle: fc.integer({ min: 0, max: 359 }),
})
const by = fc.record({ x: fc.integer({ min: -300, max: 300 }), y: fc.integer({ min: -300, max: 300 }) })
const room: SnapRoom = {
  others: [{ left: 300, top: 200, right: 700, bottom: 400 }],
  size: { width: 1920, height: 1080 },
  margin: 100,
  reach: 10,
}

describe('resizing', () => {
  it('leaves the opposite handle where it was, at any angle', () => {
    fc.assert(
      fc.property(box, by, fc.constantFrom(...handles), (start, move, handle) => {
        const end = resize(start, handle, move)
        const corner = (at: typeof start) => cornersOf(at)[handle.across <= 0 ? (handle.down <= 0 ? 2 : 1) : handle.down <= 0 ? 3 : 0]!
        if (handle.across && handle.down) {
          expect(corner(end).x).toBeCloseTo(corner(start).x, 4)
          expect(corner(end).y).toBeCloseTo(corner(start).y, 4)
        }
        expect(end.width).toBeGreaterThanOrEqual(8)
      }),
    )
  })

  it('from the centre leaves the centre, and in proportion keeps the proportion', () => {
    fc.assert(
      fc.property(box, by, fc.constantFrom(...handles), (start, move, handle) => {
        const centred = centerOf(resize(start, handle, move, { fromCenter: true }))
        expect(centred.x).toBeCloseTo(centerOf(start).x, 6)
        const kept = resize(start, handle, move, { keepProportion: true, least: 0.001 })
        expect(kept.width / kept.height).toBeCloseTo(start.width / start.height, 2)
      }),
    )
  })
})

describe('snapping', () => {
  it('draws an edge or centre to a line nearby, never further than its reach', () => {
    fc.assert(
      fc.property(box, start => {
        const { shift, guides } = snapMove([start], room)
        expect(Math.abs(shift.x)).toBeLessThanOrEqual(room.reach)
        expect(Math.abs(shift.y)).toBeLessThanOrEqual(room.reach)
        const moved = boundsOf({ ...start, x: start.x + shift.x, y: start.y + shift.y })
        for (const guide of guides) {
          const edges =
            guide.axis === 'x'
              ? [moved.left, (moved.left + moved.right) / 2, moved.right]
              : [moved.top, (moved.top + moved.bottom) / 2, moved.bottom]
          expect(Math.min(...edges.map(edge => Math.abs(edge - guide.at)))).toBeLessThan(1e-6)
        }
      }),
    )
  })

  it('finds the middle of the slide, another’s edge, and the margin', () => {
    const at = (x: number, y: number) => ({ x, y, width: 200, height: 80, angle: 0 })
    expect(snapMove([at(856, 800)], room).shift.x).toBe(4)
    expect(snapMove([at(705, 800)], room).shift.x).toBe(-5)
    expect(snapMove([at(95, 800)], room).shift.x).toBe(5)
    expect(snapMove([at(1200, 830)], room).guides).toEqual([])
  })

  it('draws a dragged edge to a line, and only that edge', () => {
    const start = { x: 800, y: 500, width: 100, height: 60, angle: 0 }
    const { box: end } = snapResize(start, { across: 1, down: 0 }, { x: 55, y: 0 }, room)
    expect(end).toMatchObject({ x: 800, width: 160, y: 500, height: 60 })
  })
})
