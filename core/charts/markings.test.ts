import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { DataTable } from '../data'
import { houseTheme } from '../layouts'
import type { ChartSpec } from '../model'
import { roughMeasurer } from '../text'
import { chartKinds, drawChart, newChart } from './catalogue'
import type { ChartRoom } from './drawing'
import { touch } from './labels'
import { linesOf } from './markings'
import { shapeOf } from './marks'
import { passageOf } from './motion/run'

const room: ChartRoom = { width: 1400, height: 700, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const table: DataTable = {
  id: 't',
  name: 't',
  columns: [
    { name: 'route', type: 'text', values: ['Astrel', 'Quill', 'Low Sands', 'Harrow'] },
    { name: 'riders', type: 'number', values: [400, 100, 300, 200] },
  ],
}
const spec = (fields: Partial<ChartSpec>): ChartSpec => ({ ...newChart('t'), ...fields })
const marked = chartKinds.filter(({ isMarked }) => isMarked).map(({ name }) => name)
const level = (kind: string, references: ChartSpec['references']) => {
  const drawing = drawChart(spec({ kind, references: references! }), table, room)
  return { drawing, rules: drawing.rules.filter(rule => rule.kind === 'reference') }
}

describe('levels across a chart', () => {
  it('stand where the amounts say: the mean of 400, 100, 300 and 200 is 250', () => {
    const { drawing, rules } = level('bar', [{ at: 'mean', words: '' }])
    const tops = drawing.marks.map(mark => [mark.value, shapeOf(mark).anchor(mark).y] as const)
    const [, high] = tops.find(([value]) => value === 300)!
    const [, low] = tops.find(([value]) => value === 200)!
    expect(rules).toHaveLength(1)
    expect(rules[0]!.from.y).toBeCloseTo((high + low) / 2, 3)
    expect(drawing.labels.map(({ lines }) => lines[0])).toContain('mean 250')
    expect(drawing.description).toMatch(/A line: mean 250\.$/)
  })
  it('say what was written, and go with other amounts', () => {
    const words = (values: number[], references: ChartSpec['references']) =>
      drawChart(
        spec({ references: references! }),
        { ...table, columns: [table.columns[0]!, { name: 'riders', type: 'number', values }] },
        room,
      ).labels.map(({ lines }) => lines[0])
    expect(words([4, 1, 3, 2], [{ at: 'median', words: '' }])).toContain('median 2.5')
    expect(words([9, 1, 3, 2], [{ at: 'most', words: 'the record' }])).toContain('the record')
    expect(words([], [{ at: 'least', words: '' }]).join()).not.toContain('least')
  })
  it('lie within the plane though no amount comes near: the axis holds them', () => {
    for (const kind of ['bar', 'line', 'lying-bar']) {
      const { rules } = level(kind, [{ at: 900, words: 'Target' }])
      for (const end of [rules[0]!.from, rules[0]!.to]) {
        expect(end.x).toBeGreaterThanOrEqual(0)
        expect(end.x).toBeLessThanOrEqual(room.width)
        expect(end.y).toBeGreaterThanOrEqual(0)
        expect(end.y).toBeLessThanOrEqual(room.height)
      }
    }
  })
  it('are a band where they have two ends', () => {
    const { drawing, rules } = level('line', [{ at: 150, until: 350, words: 'usual' }])
    const band = drawing.marks.find(({ key }) => key === 'level 0')
    expect([rules.length, band?.shape, band?.opacity]).toEqual([0, 'area', 0.16])
    expect(drawing.description).toContain('A band: usual.')
  })
})

describe('notes about an amount', () => {
  const noted = (kind: string, fields: Partial<ChartSpec> = {}) =>
    drawChart(spec({ kind, notes: [{ key: 'Low Sands', words: 'The new quay opened in March' }], ...fields }), table, room)
  it.each(marked)('are led to it in a chart of kind %s, on no other words', kind => {
    const { labels } = noted(kind)
    const note = labels.find(({ key }) => key === 'note Low Sands ')!
    expect(note.lines).toEqual(['The new quay opened in', 'March'])
    expect(note.leader).toHaveLength(2)
    const boxes = labels.map(({ x, y, width, height }) => ({ x: x - width / 2, y: y - (height * 0.7) / 2, width, height: height * 0.7 }))
    const own = boxes[labels.indexOf(note)]!
    boxes.forEach((box, at) => at !== labels.indexOf(note) && expect(touch(own, box)).toBe(false))
  })
  it('go with it where the order changes, and leave with it', () => {
    const place = (order: ChartSpec['order']) => noted('bar', { order }).labels.find(({ key }) => key === 'note Low Sands ')!.leader![0]!.x
    expect(place('rising')).toBeGreaterThan(place('name') - 1200)
    expect(place('rising')).not.toBeCloseTo(place('falling'), 0)
    const without = noted('bar', { only: { keys: ['Astrel'], found: [] } })
    expect(without.labels.some(({ key }) => key?.startsWith('note'))).toBe(false)
    const passage = passageOf(
      spec({ notes: [{ key: 'Low Sands', words: 'New' }], order: 'rising' }),
      spec({ notes: [{ key: 'Low Sands', words: 'New' }], order: 'falling' }),
      table,
      room,
    )
    const xs = [0.3, 0.5, 0.7].map(share => passage.at(share).labels.find(({ key }) => key === 'note Low Sands ')?.x)
    expect(xs.every(Number.isFinite)).toBe(true)
  })
  it('are in the words of the chart', () => {
    expect(noted('bar').description).toContain('At Low Sands: The new quay opened in March.')
  })
  it('are broken at blanks alone, and at most four lines', () => {
    fc.assert(
      fc.property(fc.lorem({ maxCount: 30 }), words => {
        const lines = linesOf(words, line => line.length <= 24)
        expect(lines.length).toBeLessThanOrEqual(4)
        const said = lines.join(' ').replace(/ …$/, '')
        expect(words.trim().split(/\s+/).join(' ').startsWith(said)).toBe(true)
      }),
    )
  })
})
