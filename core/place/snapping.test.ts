import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Box } from '../values'
import {
  angleAlong,
  boundsOf,
  handles,
  snapAngle,
  snapMove,
  snapResize,
  turnBetween,
  turnTogether,
  type Bounds,
  type SnapRoom,
} from './index'

const size = { width: 1920, height: 1080 }
const bare: SnapRoom = { others: [], size, margin: 100, reach: 7 }
const box = (x: number, y: number, width = 100, height = 50): Box => ({ x, y, width, height, angle: 0 })
const at = (left: number, top: number, right: number, bottom: number): Bounds => ({ left, top, right, bottom })
const place = (least: number, most: number) => fc.integer({ min: least, max: most })

describe('what is moved is drawn to lines', () => {
  it('the nearest of all that other things, the slide and its margins offer, within its reach, else to none', () => {
    // Others stand in a band of their own, so that no gap can be equal.
    const other = fc.tuple(place(0, 1800), place(20, 100)).map(([x, width]) => at(x, 900, x + width, 960))
    fc.assert(
      fc.property(fc.array(other, { maxLength: 4 }), place(0, 1700), place(20, 200), (others, x, width) => {
        const lines = [0, 100, 960, 1820, 1920, ...others.flatMap(({ left, right }) => [left, (left + right) / 2, right])]
        const ways = lines.flatMap(line => [x, x + width / 2, x + width].map(edge => line - edge))
        const least = Math.min(...ways.map(Math.abs))
        const { shift, guides } = snapMove([box(x, 300, width)], { ...bare, others })
        if (least <= 7) {
          expect(Math.abs(shift.x)).toBeCloseTo(least)
          expect(ways.some(way => Math.abs(way - shift.x) < 1e-9)).toBe(true)
          const [guide] = guides.filter(({ axis }) => axis === 'x')
          expect([x, x + width / 2, x + width].some(edge => Math.abs(edge + shift.x - guide!.at) < 1e-9)).toBe(true)
        } else expect([shift.x, guides.filter(({ axis }) => axis === 'x')]).toEqual([0, []])
      }),
    )
  })

  it('just within its reach, and not beyond', () => {
    expect(snapMove([box(107, 300)], bare).shift.x).toBe(-7)
    expect(snapMove([box(107.5, 300)], bare).shift.x).toBe(0)
    expect(snapMove([box(300, 93)], bare).shift.y).toBe(7)
    expect(snapMove([box(300, 92.5)], bare).shift.y).toBe(0)
  })

  it('with the line shown from what stands on it to what comes to it', () => {
    const { guides } = snapMove([box(303, 300)], { ...bare, others: [at(300, 800, 360, 900)] })
    expect(guides).toEqual([{ axis: 'x', at: 300, from: 300, to: 900 }])
  })

  it('by the box around all that move together', () => {
    expect(snapMove([box(300, 300), box(500, 500)], { ...bare, others: [at(603, 900, 700, 960)] }).shift.x).toBe(3)
  })

  it('along both axes at once, each for itself', () => {
    expect(snapMove([box(104, 204)], { ...bare, others: [at(400, 200, 500, 400)] }).shift).toEqual({ x: -4, y: -4 })
  })
})

describe('what is moved is drawn to equal gaps', () => {
  const row = { ...bare, margin: 0 }
  it('in the middle between its neighbours', () => {
    const { shift, measures } = snapMove([box(337, 300)], { ...row, others: [at(100, 290, 200, 360), at(573, 290, 700, 360)] })
    expect(shift.x).toBeCloseTo(-0.5)
    expect(measures.filter(({ axis }) => axis === 'x').map(({ from, to }) => [from, to])).toEqual([
      [200, 336.5],
      [436.5, 573],
    ])
  })

  it('as far from its neighbour as that one is from the next, on either side', () => {
    const before = { ...row, others: [at(100, 290, 200, 360), at(240, 290, 340, 360)] }
    expect(340 + 40 - 377).toBe(3)
    expect(snapMove([box(377, 300)], before).shift.x).toBeCloseTo(3)
    const after = { ...row, others: [at(1500, 290, 1600, 360), at(1640, 290, 1740, 360)] }
    expect(snapMove([box(1357, 300)], after).shift.x).toBeCloseTo(3)
  })

  it('only among what lies side by side with it', () => {
    const others = [at(100, 700, 200, 760), at(573, 700, 700, 760)]
    expect(snapMove([box(337, 300)], { ...row, others }).measures).toEqual([])
  })

  it('with gaps that are the same, whatever they are', () => {
    fc.assert(
      fc.property(place(10, 300), place(20, 200), place(20, 200), place(-6, 6), (gap, left, right, off) => {
        const others = [at(50, 290, 50 + left, 360), at(50 + left + 2 * gap + 100, 290, 50 + left + 2 * gap + 100 + right, 360)]
        const { shift, measures } = snapMove([box(50 + left + gap + off, 300)], { ...row, others })
        const shown = measures.filter(({ axis, equal }) => axis === 'x' && equal)
        const gaps = shown.map(({ from, to }) => to - from)
        if (gaps.length) for (const one of gaps) expect(one).toBeCloseTo(gaps[0]!)
        expect(Math.abs(shift.x)).toBeLessThanOrEqual(7)
      }),
    )
  })
})

describe('what is shown of a snap', () => {
  const others = [at(100, 290, 200, 360), at(573, 290, 700, 360)]

  it('stands level between what it measures, from edge to edge', () => {
    const { measures } = snapMove([box(337, 300)], { ...bare, margin: 0, others })
    expect(measures).toEqual([
      { axis: 'x', from: 200, to: 336.5, at: 325, equal: true },
      { axis: 'x', from: 436.5, to: 573, at: 325, equal: true },
    ])
  })

  it('is the same on end', () => {
    const upright = others.map(({ left, top, right, bottom }) => at(top, left, bottom, right))
    const { shift, measures, guides } = snapMove([box(300, 337, 50, 100)], { ...bare, margin: 0, others: upright })
    expect(shift.y).toBeCloseTo(-0.5)
    expect(measures.map(({ axis, from, to }) => [axis, from, to])).toEqual([
      ['y', 200, 336.5],
      ['y', 436.5, 573],
    ])
    expect(guides.filter(({ axis }) => axis === 'y')).toEqual([])
  })

  it('are both gaps of a row that goes on, and none where nothing is drawn', () => {
    const row = [at(100, 290, 200, 360), at(240, 290, 340, 360)]
    const { measures } = snapMove([box(377, 300)], { ...bare, margin: 0, others: row })
    expect(measures.map(({ from, to }) => [from, to])).toEqual([
      [340, 380],
      [200, 240],
    ])
    expect(snapMove([box(720, 400)], { ...bare, margin: 0, others: row })).toEqual({ shift: { x: 0, y: 0 }, guides: [], measures: [] })
  })

  it('is a line rather than a gap where both are as near', () => {
    const { guides } = snapMove([box(336.5, 300)], { ...bare, margin: 0, others: [...others, at(336.5, 900, 400, 960)] })
    expect(guides.some(({ axis, at: line }) => axis === 'x' && line === 336.5)).toBe(true)
  })

  it('is the size of the other and its own, each at its middle', () => {
    const other = at(900, 800, 1050, 860)
    const { measures } = snapResize(box(300, 300), { across: 1, down: 0 }, { x: 47, y: 0 }, { ...bare, others: [other] })
    expect(measures).toEqual([
      { axis: 'x', from: 900, to: 1050, at: 830, equal: true },
      { axis: 'x', from: 300, to: 450, at: 325, equal: true },
    ])
  })
})

describe('what is resized', () => {
  it('has its dragged edges drawn to lines, and the others stay', () => {
    fc.assert(
      fc.property(fc.constantFrom(...handles), place(-60, 60), place(-60, 60), (handle, x, y) => {
        const start = box(700, 400, 300, 200)
        const others = [at(1040, 100, 1100, 140), at(640, 100, 660, 140), at(100, 640, 140, 660), at(100, 340, 140, 350)]
        const { box: end, guides } = snapResize(start, handle, { x, y }, { ...bare, others })
        const [was, is] = [boundsOf(start), boundsOf(end)]
        if (handle.across >= 0) expect(is.left).toBeCloseTo(was.left)
        if (handle.across <= 0) expect(is.right).toBeCloseTo(was.right)
        if (handle.down >= 0) expect(is.top).toBeCloseTo(was.top)
        if (handle.down <= 0) expect(is.bottom).toBeCloseTo(was.bottom)
        for (const guide of guides) {
          const edges = guide.axis === 'x' ? [is.left, is.right] : [is.top, is.bottom]
          expect(edges.some(edge => Math.abs(edge - guide.at) < 1e-6)).toBe(true)
        }
      }),
    )
  })

  it('takes on the width of another', () => {
    const { box: end, measures } = snapResize(
      box(300, 300),
      { across: 1, down: 0 },
      { x: 47, y: 0 },
      { ...bare, others: [at(900, 800, 1050, 860)] },
    )
    expect(end.width).toBe(150)
    expect(measures.map(({ from, to, equal }) => [to - from, equal])).toEqual([
      [150, true],
      [150, true],
    ])
  })

  it('keeps its proportion where that is wished, though an edge is drawn to a line', () => {
    const { box: end } = snapResize(
      box(300, 300, 200, 100),
      { across: 1, down: 1 },
      { x: 97, y: 48 },
      { ...bare, others: [at(600, 800, 660, 860)] },
      { keepProportion: true },
    )
    expect(end.width).toBeCloseTo(300)
    expect(end.width / end.height).toBeCloseTo(2)
  })

  it('from its centre takes on a size on both sides, and from the left and above by those edges', () => {
    const others = [at(900, 800, 1050, 860)]
    const centred = snapResize(box(300, 300), { across: 1, down: 0 }, { x: 23, y: 0 }, { ...bare, others }, { fromCenter: true })
    expect([centred.box.x, centred.box.width]).toEqual([275, 150])
    const left = snapResize(box(300, 300), { across: -1, down: 0 }, { x: -47, y: 0 }, { ...bare, others })
    expect([left.box.x, left.box.width]).toEqual([250, 150])
    const above = snapResize(box(300, 300), { across: 0, down: -1 }, { x: 0, y: -12 }, { ...bare, others })
    expect([above.box.y, above.box.height]).toEqual([290, 60])
  })

  it('takes the nearest of several sizes', () => {
    const others = [at(900, 800, 1053, 860), at(900, 900, 1048, 960)]
    expect(snapResize(box(300, 300), { across: 1, down: 0 }, { x: 49, y: 0 }, { ...bare, others }).box.width).toBe(148)
  })

  it('is left alone where it is turned', () => {
    const { box: end, guides } = snapResize({ ...box(300, 300), angle: 30 }, { across: 1, down: 0 }, { x: 50, y: 0 }, bare)
    expect([end.angle, guides]).toEqual([30, []])
  })
})

describe('angles', () => {
  it('are drawn to the nearest neighbour within reach, or square to it, unless a step is nearer', () => {
    expect(snapAngle(50, [52, 49])).toEqual({ angle: 49, to: 'neighbour' })
    expect(snapAngle(50, [47, 52])).toEqual({ angle: 52, to: 'neighbour' })
    expect(snapAngle(53, [57])).toEqual({ angle: 57, to: 'neighbour' })
    expect(snapAngle(52, [56.5])).toEqual({ angle: 45, to: 'step' })
    expect(snapAngle(46, [49])).toEqual({ angle: 45, to: 'step' })
    expect(snapAngle(142, [50])).toEqual({ angle: 140, to: 'neighbour' })
    expect(snapAngle(359, [])).toEqual({ angle: 0, to: 'step' })
  })

  it('turn the shorter way, and words along a line stay upright', () => {
    expect([turnBetween(10, 350), turnBetween(350, 10), turnBetween(0, 90), turnBetween(90, 0)]).toEqual([-20, 20, 90, -90])
    expect(angleAlong({ x: 0, y: 0 }, { x: -10, y: -10 })).toBeCloseTo(45)
    expect(angleAlong({ x: 0, y: 0 }, { x: 0, y: 10 })).toBe(90)
    expect(angleAlong({ x: 0, y: 0 }, { x: 0, y: -10 })).toBe(90)
    expect(angleAlong({ x: 3, y: 3 }, { x: 3, y: 3 })).toBe(0)
  })

  it('of boxes that are turned together add up, about one centre', () => {
    const [turnedBox] = turnTogether([{ ...box(100, 0), angle: 20 }], { x: 50, y: 25 }, 90)
    expect(turnedBox).toMatchObject({ angle: 110 })
    expect([Math.round(turnedBox!.x), Math.round(turnedBox!.y)]).toEqual([0, 100])
  })
})
