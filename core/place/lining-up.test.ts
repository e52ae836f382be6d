import { describe, expect, it } from 'vitest'
import type { Box } from '../values'
import { align, distribute, gapsOf, sameSize, tidyGrid, tidyRows, type Placed } from './align'
import { centeredAt, contains, cornersOf, inside, movedBy, overlap, tidyBox, turn, turned, type Bounds } from './bounds'
import { cropOf, draggedView, viewOf, zoomedView } from './crop'
import { flipTogether, resize, resizeTogether } from './resize'

const box = (x: number, y: number, width: number, height: number, angle = 0): Box => ({ x, y, width, height, angle })
const placed = (id: string, ...boxes: Box[]): Placed => ({ id, boxes: Object.fromEntries(boxes.map((one, at) => [`${id}${at}`, one])) })
/** Where each stands: x and y of its first box. */
const spots = (parts: readonly Placed[]) =>
  parts.map(({ boxes }) => {
    const [{ x, y }] = Object.values(boxes) as [Box]
    return [x, y]
  })
const slide: Bounds = { left: 0, top: 0, right: 1000, bottom: 600 }

describe('lining up', () => {
  const parts = [placed('a', box(100, 50, 200, 100)), placed('b', box(400, 300, 100, 60))]
  it.each([
    ['left', [0, 50], [0, 300]],
    ['center', [400, 50], [450, 300]],
    ['right', [800, 50], [900, 300]],
    ['top', [100, 0], [400, 0]],
    ['middle', [100, 250], [400, 270]],
    ['bottom', [100, 500], [400, 540]],
  ] as const)('by the %s stands exactly there, whatever the other way', (edge, first, second) => {
    expect(spots(align(parts, edge, slide))).toEqual([first, second])
  })

  it('moves what belongs together as one, by the rectangle around it', () => {
    const group = placed('g', box(100, 100, 50, 50), box(200, 160, 100, 40))
    const [moved] = align([group], 'right', slide)
    expect(moved!.boxes).toEqual({ g0: box(800, 100, 50, 50), g1: box(900, 160, 100, 40) })
  })
})

describe('spacing', () => {
  const row = [placed('c', box(500, 0, 100, 10)), placed('a', box(0, 0, 100, 10)), placed('b', box(120, 0, 200, 10))]
  it('shares the room between the first and the last, in the order in which they stand', () => {
    // 600 wide, 400 taken: 100 between each.
    expect(spots(distribute(row, 'across'))).toEqual([
      [500, 0],
      [0, 0],
      [200, 0],
    ])
    expect(gapsOf(distribute(row, 'across'), 'across')).toEqual([100, 100])
  })
  it('with a gap of its own leaves the first where it is', () => {
    expect(spots(distribute(row, 'across', 12))).toEqual([
      [324, 0],
      [0, 0],
      [112, 0],
    ])
  })
  it('works on end likewise', () => {
    const column = [placed('a', box(0, 10, 10, 20)), placed('b', box(0, 40, 10, 20)), placed('c', box(0, 130, 10, 20))]
    expect(spots(distribute(column, 'down')).map(([, y]) => y)).toEqual([10, 70, 130])
    expect(gapsOf(column, 'down')).toEqual([10, 70])
  })
  it('tells overlaps as gaps below nought, and leaves one alone', () => {
    expect(gapsOf([placed('a', box(0, 0, 100, 10)), placed('b', box(60, 0, 100, 10))], 'across')).toEqual([-40])
    expect(spots(distribute([row[0]!], 'across', 5))).toEqual([[500, 0]])
  })
})

describe('the size of the first', () => {
  const boxes = [box(0, 0, 100, 50), box(200, 100, 40, 30)]
  it.each([
    ['width', box(170, 100, 100, 30)],
    ['height', box(200, 90, 40, 50)],
    ['both', box(170, 90, 100, 50)],
  ] as const)('%s is given to the others about their own centres', (which, second) => {
    expect(sameSize(boxes, which)).toEqual([boxes[0], second])
  })
  it('is nothing of nothing', () => expect(sameSize([], 'both')).toEqual([]))
})

describe('tidying', () => {
  /** Two rows, roughly: three above, two below, one of them higher than the others. */
  const rough = [
    placed('a', box(10, 20, 100, 60)),
    placed('b', box(130, 28, 100, 40)),
    placed('c', box(262, 12, 100, 60)),
    placed('d', box(22, 120, 100, 40)),
    placed('e', box(160, 131, 100, 20)),
  ]
  it('sets rows on one middle line each, from one left edge, with the gap that is usual there', () => {
    // Gaps in the rows: 20, 32, 38; of three the middle one. Between the rows: 120 − 80.
    expect(spots(tidyRows(rough))).toEqual([
      [10, 12],
      [142, 22],
      [274, 12],
      [10, 112],
      [142, 122],
    ])
  })
  it('takes a gap that is given, in rows and between them', () => {
    expect(spots(tidyRows(rough, 8))).toEqual([
      [10, 12],
      [118, 22],
      [226, 12],
      [10, 80],
      [118, 90],
    ])
  })
  it('uses 24 px where nothing has a gap', () => {
    const pile = [placed('a', box(0, 0, 50, 50)), placed('b', box(5, 4, 50, 50))]
    expect(spots(tidyRows(pile))).toEqual([
      [0, 0],
      [74, 0],
    ])
  })
  it('sets a grid of equal cells in reading order, each in the middle of its cell', () => {
    expect(spots(tidyGrid(rough))).toEqual([
      [10, 12],
      [134, 22],
      [258, 12],
      [10, 106],
      [134, 116],
    ])
    expect(spots(tidyGrid(rough, { columns: 2, gap: 10 }))).toEqual([
      [10, 12],
      [120, 22],
      [10, 82],
      [120, 92],
      [10, 172],
    ])
  })
  it('makes about as many columns as rows of what stands in one line', () => {
    const line = Array.from({ length: 4 }, (_, at) => placed(`p${at}`, box(at * 100, 0, 50, 50)))
    expect(spots(tidyGrid(line))).toEqual([
      [0, 0],
      [74, 0],
      [0, 74],
      [74, 74],
    ])
  })
  it('leaves one alone', () => {
    expect(spots(tidyGrid([rough[2]!]))).toEqual([[262, 12]])
    expect(spots(tidyRows([rough[2]!]))).toEqual([[262, 12]])
  })
})

describe('boxes and points', () => {
  it('turn clockwise, y pointing down', () => {
    const { x, y } = turn({ x: 10, y: 0 }, { x: 0, y: 0 }, 90)
    expect([x, y].map(Math.round)).toEqual([0, 10])
    const corners = cornersOf(box(0, 0, 20, 10, 90)).map(point => [Math.round(point.x), Math.round(point.y)])
    expect(corners).toEqual([
      [15, -5],
      [15, 15],
      [5, 15],
      [5, -5],
    ])
  })
  it('hold what lies in them, their edges too, turned as they are', () => {
    const upright = box(10, 10, 100, 20)
    for (const [x, y, holds] of [
      [10, 10, true],
      [110, 30, true],
      [9.9, 20, false],
      [110.1, 20, false],
      [50, 9.9, false],
      [50, 30.1, false],
    ] as const)
      expect(contains(upright, { x, y }), `${x} ${y}`).toBe(holds)
    const standing = box(10, 10, 100, 20, 90)
    expect(contains(standing, { x: 60, y: -25 })).toBe(true)
    expect(contains(standing, { x: 105, y: 20 })).toBe(false)
  })
  it('overlap only where they share more than an edge, and lie inside with some slack', () => {
    const a: Bounds = { left: 0, top: 0, right: 10, bottom: 10 }
    expect(overlap(a, { left: 9, top: 9, right: 20, bottom: 20 })).toBe(true)
    for (const b of [
      { left: 10, top: 0, right: 20, bottom: 10 },
      { left: -10, top: 0, right: 0, bottom: 10 },
      { left: 0, top: 10, right: 10, bottom: 20 },
      { left: 0, top: -10, right: 10, bottom: 0 },
    ])
      expect(overlap(a, b)).toBe(false)
    expect(inside(a, a)).toBe(true)
    for (const side of ['left', 'top'] as const) {
      expect(inside({ ...a, [side]: -1 }, a)).toBe(false)
      expect(inside({ ...a, [side]: -1 }, a, 1)).toBe(true)
    }
    for (const side of ['right', 'bottom'] as const) {
      expect(inside({ ...a, [side]: 11 }, a)).toBe(false)
      expect(inside({ ...a, [side]: 11 }, a, 1)).toBe(true)
    }
  })
  it('are moved, set about a centre, and kept to a hundredth and at least one px', () => {
    expect(movedBy(box(1, 2, 3, 4, 5), { x: 10, y: -1 })).toEqual(box(11, 1, 3, 4, 5))
    expect(centeredAt(box(0, 0, 10, 4, 30), { x: 100, y: 50 })).toEqual(box(95, 48, 10, 4, 30))
    expect(tidyBox(box(1.23456, -0.001, 0.2, 0, -90.004))).toEqual(box(1.23, 0, 1, 1, 270))
    expect([turned(-10), turned(360), turned(725)]).toEqual([350, 0, 5])
  })
})

describe('a picture in its frame', () => {
  const natural = { width: 400, height: 200 }
  const frame = { width: 100, height: 100 }
  it('is as large as fills the frame, its point in the middle as far as that stays covered', () => {
    expect(cropOf(natural, frame, { x: 0.5, y: 0.5, zoom: 1 })).toEqual({ x: -50, y: 0, width: 200, height: 100 })
    expect(cropOf(natural, frame, { x: 0, y: 0, zoom: 1 })).toEqual({ x: 0, y: 0, width: 200, height: 100 })
    expect(cropOf(natural, frame, { x: 1, y: 1, zoom: 1 })).toEqual({ x: -100, y: 0, width: 200, height: 100 })
    expect(cropOf(natural, frame, { x: 0.4, y: 0.25, zoom: 2 })).toEqual({ x: -110, y: 0, width: 400, height: 200 })
    expect(cropOf({ width: 100, height: 400 }, frame, { x: 0.5, y: 0.5, zoom: 1 })).toEqual({ x: 0, y: -150, width: 100, height: 400 })
  })
  it('is looked at as was chosen, else about its focal point, else about its middle', () => {
    expect(viewOf({ view: { x: 0.1, y: 0.2, zoom: 3 }, focus: { x: 0.9, y: 0.9 } })).toEqual({ x: 0.1, y: 0.2, zoom: 3 })
    expect(viewOf({ focus: { x: 0.9, y: 0.3 } })).toEqual({ x: 0.9, y: 0.3, zoom: 1 })
    expect(viewOf({})).toEqual({ x: 0.5, y: 0.5, zoom: 1 })
  })
  it('follows the hand that drags it, and stops at its edges', () => {
    const view = { x: 0.5, y: 0.5, zoom: 2 }
    // 400 × 200 behind 100 × 100: ten px are a fortieth of its width, a twentieth of its height.
    expect(draggedView(natural, frame, view, { x: 10, y: -10 })).toEqual({ x: 0.475, y: 0.55, zoom: 2 })
    expect(draggedView(natural, frame, view, { x: 9999, y: 9999 })).toEqual({ x: 0.125, y: 0.25, zoom: 2 })
    expect(draggedView(natural, frame, view, { x: -9999, y: -9999 })).toEqual({ x: 0.875, y: 0.75, zoom: 2 })
  })
  it('grows about the point that is pointed at, from once to twenty times', () => {
    const view = { x: 0.5, y: 0.5, zoom: 2 }
    const place = (at: { x: number; y: number; zoom: number }, point: { x: number; y: number }) => {
      const crop = cropOf(natural, frame, at)
      return [(point.x - crop.x) / crop.width, (point.y - crop.y) / crop.height]
    }
    const about = { x: 20, y: 70 }
    const grown = zoomedView(natural, frame, view, 1.5, about)
    expect(grown.zoom).toBe(3)
    for (const [at, value] of place(grown, about).entries()) expect(value).toBeCloseTo(place(view, about)[at]!, 9)
    expect(zoomedView(natural, frame, view, 100, about).zoom).toBe(20)
    expect(zoomedView(natural, frame, view, 0.01, about)).toMatchObject({ zoom: 1, y: 0.5 })
  })
})

describe('a box that is resized', () => {
  const start = box(100, 100, 200, 100)
  it('grows towards the handle that is dragged', () => {
    expect(resize(start, { across: 1, down: 1 }, { x: 30, y: 20 })).toEqual(box(100, 100, 230, 120))
    expect(resize(start, { across: -1, down: 0 }, { x: 30, y: 20 })).toEqual(box(130, 100, 170, 100))
    expect(resize(start, { across: 0, down: -1 }, { x: 30, y: 20 })).toEqual(box(100, 120, 200, 80))
  })
  it('from its centre grows to both sides', () => {
    expect(resize(start, { across: 1, down: 0 }, { x: 10, y: 0 }, { fromCenter: true })).toEqual(box(90, 100, 220, 100))
  })
  it('keeps its proportion by the side that asks for more, or by the one that is dragged', () => {
    expect(resize(start, { across: 1, down: 1 }, { x: 20, y: 50 }, { keepProportion: true })).toEqual(box(100, 100, 300, 150))
    expect(resize(start, { across: 1, down: 0 }, { x: 100, y: 0 }, { keepProportion: true })).toEqual(box(100, 75, 300, 150))
    expect(resize(start, { across: 0, down: 1 }, { x: 0, y: 100 }, { keepProportion: true })).toEqual(box(0, 100, 400, 200))
  })
  it('is never less than the least, in proportion neither', () => {
    expect(resize(start, { across: 1, down: 1 }, { x: -999, y: -999 })).toEqual(box(100, 100, 8, 8))
    expect(resize(start, { across: 1, down: 1 }, { x: -999, y: -999 }, { least: 40, keepProportion: true })).toEqual(box(100, 100, 80, 40))
  })
  it('with others is a part of the rectangle around them', () => {
    const made = resizeTogether([box(0, 0, 100, 50), box(100, 50, 100, 50)], box(0, 0, 200, 100), box(10, 20, 400, 300))
    expect(made).toEqual([box(10, 20, 200, 150), box(210, 170, 200, 150)])
  })
  it('that stands on end takes the other side’s growth, and nothing flat becomes nothing', () => {
    const [standing] = resizeTogether([box(0, 0, 100, 50, 90)], box(0, 0, 100, 50), box(0, 0, 200, 50))
    expect(standing!.width).toBeCloseTo(100)
    expect(standing!.height).toBeCloseTo(100)
    expect(resizeTogether([box(0, 0, 100, 0)], box(0, 0, 100, 0), box(0, 0, 50, 0))).toEqual([box(0, -0.5, 50, 1)])
  })
})

describe('boxes that are flipped together', () => {
  const parts = [{ box: box(0, 0, 100, 40, 30) }, { box: box(300, 80, 100, 20), flip: { across: true, down: false } }]
  it('change sides, turn the other way, and are mirrored themselves', () => {
    const [first, second] = flipTogether(parts, 'across')
    expect(first!.box.angle).toBe(330)
    expect([first!.flip, second!.flip]).toEqual([
      { across: true, down: false },
      { across: false, down: false },
    ])
    expect(second!.box.y).toBe(80)
    expect(first!.box.x).toBeGreaterThan(second!.box.x)
  })
  it('downwards keep where they stand across', () => {
    const [first, second] = flipTogether(parts, 'down')
    expect([first!.box.x, second!.box.x]).toEqual([0, 300])
    expect(first!.box.y).toBeGreaterThan(second!.box.y)
    expect(first!.flip).toEqual({ across: false, down: true })
  })
})
