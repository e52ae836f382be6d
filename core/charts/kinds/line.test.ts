import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { houseTheme } from '../../layouts'
import { roughMeasurer } from '../../text'
import { drawChart, passageBetween, newChart, touch, type ChartRoom, type LineMark, type PointMark } from '../index'

const room: ChartRoom = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const draw = (values: (number | null)[], more = {}) =>
  drawChart(
    { ...newChart('t'), kind: 'line', ...more },
    {
      id: 't',
      name: 't',
      columns: [
        { name: 'month', type: 'text', values: values.map((_, index) => `m${index}`) },
        { name: 'boats', type: 'number', values },
      ],
    },
    room,
  )
const dotsIn = (drawing: ReturnType<typeof draw>) => drawing.marks.filter((mark): mark is PointMark => mark.shape === 'point')
const linesIn = (drawing: ReturnType<typeof draw>) => drawing.marks.filter((mark): mark is LineMark => mark.shape === 'line')

describe('a line chart', () => {
  it('goes from row to row through a dot at each, which stand as high as their amounts', () => {
    const drawing = draw([10, 20, 40])
    const [first, second, third] = dotsIn(drawing)
    const foot = first!.foot
    expect((foot - second!.y) / (foot - first!.y)).toBeCloseTo(2, 6)
    expect((foot - third!.y) / (foot - first!.y)).toBeCloseTo(4, 6)
    expect(linesIn(drawing).map(line => [line.points[0], line.points.at(-1)])).toEqual([
      [
        { x: first!.x, y: first!.y },
        { x: second!.x, y: second!.y },
      ],
      [
        { x: second!.x, y: second!.y },
        { x: third!.x, y: third!.y },
      ],
    ])
  })

  it('comes row by row: a stretch belongs to the row that it leads to', () => {
    const drawing = draw([10, 20, 40])
    expect(drawing.parts).toBe(3)
    expect(drawing.names).toEqual(['m0', 'm1', 'm2'])
    expect(linesIn(drawing).map(line => line.part)).toEqual([1, 2])
    expect(dotsIn(drawing).map(dot => dot.part)).toEqual([0, 1, 2])
  })

  it('is broken where a row has no number, and says its amounts at the others', () => {
    const drawing = draw([10, null, 40, 30])
    expect(linesIn(drawing).map(line => line.part)).toEqual([3])
    expect(dotsIn(drawing).map(dot => dot.part)).toEqual([0, 2, 3])
    expect(new Set(drawing.labels.filter(label => label.kind === 'value').map(label => label.part))).toEqual(new Set([0, 2, 3]))
  })

  it('keeps its amounts clear of a line that rises or falls steeply', () => {
    const drawing = draw([10, 30, 100, 60, 20])
    const [, rising, top, falling] = dotsIn(drawing)
    const labelOf = (part: number) => drawing.labels.find(label => label.kind === 'value' && label.part === part)!
    expect(labelOf(1).x).toBeLessThan(rising!.x)
    expect(labelOf(2).x).toBeCloseTo(top!.x, 6)
    expect(labelOf(3).x).toBeGreaterThan(falling!.x)
  })

  it('never swings beyond the points that a smooth line joins', () => {
    const drawing = draw([10, 40, 40, 5, 6], { options: { smooth: true } })
    for (const { points } of linesIn(drawing)) {
      const [from, to] = [points[0]!, points.at(-1)!]
      expect(points.length).toBeGreaterThan(2)
      for (const { y } of points) {
        expect(y).toBeGreaterThanOrEqual(Math.min(from.y, to.y) - 1e-6)
        expect(y).toBeLessThanOrEqual(Math.max(from.y, to.y) + 1e-6)
      }
    }
  })

  it('moves to other figures point by point, and holds options to what they may be', () => {
    const [from, to] = [draw([10, 20]), draw([30, 20])]
    const passage = passageBetween(from, to, room.width, room.height)
    const { begins, ends } = passage.marks!
    const half = passage.at((begins + ends) / 2 / passage.seconds)
    expect(dotsIn(half)[0]!.y).toBeCloseTo((dotsIn(from)[0]!.y + dotsIn(to)[0]!.y) / 2, 6)
    expect(linesIn(draw([1, 2], { options: { thick: 4000 } }))[0]!.width).toBe(40)
  })

  it('says in words what it shows', () => {
    expect(draw([10, 20, 40]).description).toBe('Line chart of boats by month, 3 points. Highest: m2, 40.')
  })

  it('stands inside the chart with no amount on another, for any figures, smooth or not', () => {
    const values = fc.array(fc.option(fc.double({ min: -1e6, max: 1e6, noNaN: true })), { minLength: 1, maxLength: 60 })
    fc.assert(
      fc.property(values, fc.boolean(), fc.integer({ min: 1, max: 40 }), (list, smooth, thick) => {
        const drawing = draw(list, { options: { smooth, thick } })
        for (const { x, y } of dotsIn(drawing)) {
          expect(x).toBeGreaterThanOrEqual(-0.01)
          expect(x).toBeLessThanOrEqual(room.width + 0.01)
          expect(y).toBeGreaterThanOrEqual(-0.01)
          expect(y).toBeLessThanOrEqual(room.height + 0.01)
        }
        const words = drawing.labels.filter(label => label.angle === 0)
        const place = ({ x, y, width, height }: (typeof words)[number]) => ({
          x: x - width / 2,
          y: y - height / 2,
          width: width - 0.1,
          height: height - 0.1,
        })
        words.forEach((a, index) => {
          for (const b of words.slice(index + 1)) expect(touch(place(a), place(b)) ? [a, b] : null).toBeNull()
        })
      }),
    )
  })
})

describe('a kind of charts that is not known', () => {
  it('is drawn as bars', () => {
    expect(new Set(draw([1, 2], { kind: 'ridgeline' }).marks.map(mark => mark.shape))).toEqual(new Set(['bar']))
  })
})
