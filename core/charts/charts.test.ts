import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../data'
import { houseTheme } from '../layouts'
import { roughMeasurer } from '../text'
import { drawChart, newChart, passageBetween, placeLabels, questionOf, touch, type BarMark, type ChartLabel, type ChartRoom } from './index'

const room: ChartRoom = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const tableOf = (rows: { key: string; value: number }[]): DataTable => ({
  id: 't',
  name: 't',
  columns: [
    { name: 'key', type: 'text', values: rows.map(row => row.key) },
    { name: 'value', type: 'number', values: rows.map(row => row.value) },
  ],
})
const rows = fc.uniqueArray(
  fc.record({
    key: fc.string({ minLength: 1, maxLength: 24 }).filter(key => key.trim() !== ''),
    value: fc.double({ min: -1e6, max: 1e6, noNaN: true }),
  }),
  { minLength: 1, maxLength: 60, selector: row => row.key.replace(/\s+/g, ' ').trim() },
)
const draw = (list: { key: string; value: number }[], more = {}) => drawChart({ ...newChart('t'), ...more }, tableOf(list), room)

const barsOf = (...input: Parameters<typeof draw>) => draw(...input).marks.filter((mark): mark is BarMark => mark.shape === 'bar')

const bounds = (label: ChartLabel) => ({
  x: label.x - label.width / 2,
  y: label.y - label.height / 2,
  width: label.width,
  height: label.height,
})

describe('a bar chart', () => {
  it('has a bar for every row, however many, inside the chart', () => {
    fc.assert(
      fc.property(rows, list => {
        const marks = barsOf(list)
        expect(marks).toHaveLength(list.length)
        for (const mark of marks) {
          expect(mark.x).toBeGreaterThanOrEqual(-0.01)
          expect(mark.x + mark.width).toBeLessThanOrEqual(room.width + 0.01)
          expect(mark.y).toBeGreaterThanOrEqual(-0.01)
          expect(mark.y + mark.height).toBeLessThanOrEqual(room.height + 0.01)
        }
      }),
    )
  })

  it('sets no label on another, for any figures and names', () => {
    fc.assert(
      fc.property(rows, fc.constantFrom('all' as const, 'none' as const), fc.boolean(), (list, labels, total) => {
        const upright = draw(list, { labels, total }).labels.filter(label => label.angle === 0)
        upright.forEach((a, index) => {
          for (const b of upright.slice(index + 1)) {
            const together = touch(
              { ...bounds(a), width: a.width - 0.1, height: a.height - 0.1 },
              { ...bounds(b), width: b.width - 0.1, height: b.height - 0.1 },
            )
            expect(together ? [a, b] : null).toBeNull()
          }
        })
      }),
    )
  })

  it('draws lengths in proportion to amounts', () => {
    const marks = barsOf([
      { key: 'a', value: 100 },
      { key: 'b', value: 250 },
      { key: 'c', value: 0 },
    ])
    expect(marks[1]!.height / marks[0]!.height).toBeCloseTo(2.5, 6)
    expect(marks[2]!.height).toBe(0)
  })

  it('grows negative amounts downwards from the same baseline', () => {
    const marks = barsOf([
      { key: 'a', value: 50 },
      { key: 'b', value: -50 },
    ])
    expect(marks[1]!.negative).toBe(true)
    expect(marks[0]!.y + marks[0]!.height).toBeCloseTo(marks[1]!.y, 6)
  })

  it('computes its total in its own number format', () => {
    expect(
      draw(
        [
          { key: 'a', value: 12_000 },
          { key: 'b', value: 8_400 },
        ],
        { total: true },
      ).total,
    ).toBe('20.4k')
  })

  it('prefers the highlighted and the extreme where not every amount has room, and lists what is left out', () => {
    const many = Array.from({ length: 60 }, (_, index) => ({ key: `row ${index}`, value: 1000 + index }))
    const drawing = draw(many, { highlighted: ['row 30'] })
    const shown = drawing.labels.filter(label => label.kind === 'value').map(label => label.part)
    expect(shown).toContain(30)
    expect(shown).toContain(59)
    const amounts = drawing.leftOut.filter(words => !words.startsWith('row'))
    expect(amounts).toHaveLength(60 - shown.length)
    expect(amounts).not.toContain('1,030')
    // The names that found no room too.
    const names = drawing.labels.filter(({ key }) => key?.startsWith('name')).flatMap(({ lines }) => lines)
    expect(drawing.leftOut.filter(words => words.startsWith('row')).some(words => names.includes(words))).toBe(false)
  })
})

describe('between two drawings', () => {
  const from = draw([
    { key: 'a', value: 10 },
    { key: 'b', value: 20 },
  ])
  const to = draw([
    { key: 'b', value: 5 },
    { key: 'c', value: 30 },
  ])

  const passage = passageBetween(from, to, room.width, room.height)

  it('is each of them at its end', () => {
    expect(passage.at(0)).toBe(from)
    expect(passage.at(1)).toBe(to)
  })

  it('moves a bar of the same name, and lets others grow and shrink in their place', () => {
    const named = (share: number, key: string) => passage.at(share).marks.find((mark): mark is BarMark => mark.key === key)!
    const [was, is] = [from, to].map(drawing => drawing.marks as BarMark[])
    for (const share of [0.3, 0.5, 0.8]) {
      const moved = (named(share, 'b').x - was![1]!.x) / (is![0]!.x - was![1]!.x)
      expect(moved).toBeGreaterThanOrEqual(0)
      expect(named(share, 'b').height).toBeCloseTo(was![1]!.height + (is![0]!.height - was![1]!.height) * moved, 6)
      // What comes stands on its foot, what goes sinks into it.
      expect(named(share, 'c').y + named(share, 'c').height).toBeCloseTo(is![1]!.y + is![1]!.height, 6)
      expect(named(share, 'a').height).toBeLessThanOrEqual(was![0]!.height)
    }
  })
})

describe('placing labels', () => {
  it('gives the more important the better place, keeps within the room, and leaves out what has none', () => {
    const at = (x: number) => ({ x, y: 0, width: 10, height: 10 })
    const { placed, leftOut } = placeLabels(
      [
        { label: 'low', priority: 1, places: [at(0), at(5)] },
        { label: 'high', priority: 2, places: [at(0)] },
        { label: 'moved', priority: 1.5, places: [at(4), at(30)] },
        { label: 'outside', priority: 9, places: [at(95)] },
      ],
      { x: 0, y: 0, width: 100, height: 10 },
    )
    expect(placed.map(item => [item.label, item.place.x])).toEqual([
      ['high', 0],
      ['moved', 30],
    ])
    expect(leftOut).toEqual(['outside', 'low'])
  })
})

describe('a table with an open question', () => {
  const [day, riders] = tableOf([{ key: '03/04/2031', value: 12 }]).columns as [DataTable['columns'][number], DataTable['columns'][number]]
  const open: DataTable = { id: 't', name: 't', columns: [{ ...day, open: 'No day is above 12.' }, riders] }

  it('is not drawn by the column that is open, and says what to answer where', () => {
    expect(questionOf(newChart('t'), open)).toBe(
      '“key” can be read in two ways. No day is above 12. Say which under Data, or drop its file on the chart again.',
    )
    expect(questionOf({ ...newChart('t'), across: 'value' }, open)).toBeNull()
    expect(questionOf({ ...newChart('t'), height: 'key', across: 'value' }, open)).toContain('“key”')
    expect(questionOf(newChart('t'), tableOf([{ key: 'a', value: 1 }]))).toBeNull()
  })
})
