// @vitest-environment jsdom
import { beforeEach, describe, expect, it } from 'vitest'
import { drawChart, newChart, tonesOf, type ChartRoom } from '#core/charts'
import { houseTheme } from '#core/layouts'
import type { DataTable } from '#core/data'
import type { ChartSpec } from '#core/model'
import { roughMeasurer } from '#core/text'
import { restingPart } from '#core/timing'
import { applyElementFrame } from './apply-frame'
import { drawChartInto } from './chart-nodes'

const room: ChartRoom = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
let svg: SVGSVGElement
beforeEach(() => {
  document.body.innerHTML = '<div class="stage-slide"><div class="stage-moving"><svg></svg></div></div>'
  svg = document.querySelector('svg')!
})

const tableOf = (values: readonly number[]) => ({
  id: 't',
  name: 't',
  columns: [
    { name: 'month', type: 'text' as const, values: values.map((_, index) => `m${index}`) },
    { name: 'boats', type: 'number' as const, values: [...values] },
  ],
})
function draw(values: readonly number[], more: Partial<ChartSpec> = {}, table: DataTable = tableOf(values)) {
  const spec = { ...newChart('t'), ...more }
  const drawing = drawChart(spec, table, room)
  drawChartInto(svg, drawing, spec, houseTheme)
  return drawing
}
/** Two routes over the same months. */
const routes = (): DataTable => {
  const { columns } = tableOf([10, 20, 30, 12, 18, 27])
  const [month, boats] = columns
  const months = month!.values.slice(0, 3)
  return {
    id: 't',
    name: 't',
    columns: [
      { ...month!, values: [...months, ...months] },
      { name: 'route', type: 'text', values: ['Northern', 'Northern', 'Northern', 'Southern', 'Southern', 'Southern'] },
      boats!,
    ] as DataTable['columns'],
  }
}
const all = (selector: string) => [...svg.querySelectorAll<SVGElement>(selector)]
/** Whether a node is drawn before, and so beneath, another. */
const isBeneath = (a: Element, b: Element) => !!(a.compareDocumentPosition(b) & Node.DOCUMENT_POSITION_FOLLOWING)

describe('a chart in nodes', () => {
  it('has a bar a part, and keeps its nodes while it changes', () => {
    draw([10, 20, 30])
    const bars = all('.chart-bar')
    expect(bars.map(bar => bar.parentElement!.dataset.part ?? bar.parentElement!.getAttribute('data-part'))).toEqual(['0', '1', '2'])
    const heights = bars.map(bar => Math.abs(Number(/v(-?[\d.]+)/.exec(bar.getAttribute('d')!)![1])) + 6)
    expect(heights[2]! / heights[0]!).toBeCloseTo(3, 1)
    draw([10, 20, 60, 5])
    expect(all('.chart-bar').slice(0, 3)).toEqual(bars)
    draw([10])
    expect(all('.chart-bar')).toEqual(bars.slice(0, 1))
  })

  it('draws its axis beneath the bars, also where that comes later', () => {
    draw([10, 20, 30])
    const before = all('.chart-rule').length
    draw([10, 20, 30], { labels: 'none' })
    expect(all('.chart-rule').length).toBeGreaterThan(before)
    for (const rule of all('.chart-rule')) for (const bar of all('.chart-bar')) expect(isBeneath(rule, bar)).toBe(true)
  })

  it('becomes a line with nothing left of its bars, every stretch beneath every dot', () => {
    draw([10, 20, 30])
    draw([10, 20, 30], { kind: 'line' })
    expect(all('.chart-bar')).toEqual([])
    expect([all('.chart-line').length, all('.chart-point').length]).toEqual([2, 3])
    for (const line of all('.chart-line')) for (const dot of all('.chart-point')) expect(isBeneath(line, dot)).toBe(true)
    // A stretch comes with the dot that it leads to.
    expect(all('.chart-line').map(line => line.parentElement!.getAttribute('data-part'))).toEqual(['1', '2'])
    draw([10, 20, 30])
    expect([all('.chart-line').length, all('.chart-point').length, all('.chart-bar').length]).toEqual([0, 0, 3])
  })

  it('explains its colours by fields in them, and leads names that stand off their marks back to them', () => {
    const tones = tonesOf({ ...newChart('t'), kind: 'stacked', series: 'route' }, houseTheme.palette)
    const explained = draw([], { kind: 'stacked', series: 'route' }, routes()).labels.filter(label => label.swatch)
    expect(all('.chart-swatch').map(node => node.getAttribute('fill'))).toEqual(explained.map(({ swatch }) => tones.of(swatch!)))
    expect(explained).toHaveLength(2)
    const led = draw([480, 3, 2, 4, 3, 2, 1], { kind: 'ring' }).labels.filter(label => label.leader)
    expect(led.length).toBeGreaterThan(0)
    expect(all('.chart-leader')).toHaveLength(led.length)
    draw([10, 20])
    expect(all('.chart-leader, .chart-swatch')).toEqual([])
  })

  it.each([
    ['bar', undefined],
    ['lying-bar', 'x'],
  ])('grows as its marks do: %s', (kind, grows) => {
    draw([10, 20], { kind })
    expect(all('.chart-bar').map(bar => bar.dataset.grows)).toEqual([grows, grows])
  })
})

describe.each(['bar', 'line'])('a part of a %s chart that grows', kind => {
  it('takes its amount along on its end, and leaves its name where it stands', () => {
    draw([40, 20], { kind })
    const moving = document.querySelector<HTMLElement>('.stage-moving')!
    const parts = [0, 1].map(part => all(`[data-part="${part}"]`))
    const grown = (scaleY: number) => {
      const frames = [scaleY, 1].map(scale => ({ ...restingPart(), scaleY: scale }))
      const frame = { whole: restingPart(), parts: frames, partsBy: 'mark' as const, chart: null, media: null }
      applyElementFrame({ moving, parts, runs: [], said: [], redraw: null }, frame, houseTheme.palette)
    }
    const mark = parts[0]!.flatMap(holder => [...holder.querySelectorAll<SVGElement>('[data-reach-x]')]).at(-1)!
    const labelOf = (of: string) =>
      parts[0]!.flatMap(holder => [...holder.querySelectorAll<SVGElement>(`.chart-label[data-kind=${of}]`)])[0]!
    grown(0.5)
    const shift = Number(/translate\(0(?:px)?, ?(-?[\d.]+)px\)/.exec(labelOf('value').style.transform)![1])
    expect(shift).toBeCloseTo(-Number(mark.dataset.reachY) / 2, 1)
    expect(shift).toBeGreaterThan(50)
    expect(mark.style.transform).toBe('scale(1,0.5)')
    expect(labelOf('category').style.transform).toBe('')
    grown(1)
    expect([labelOf('value').style.transform, mark.style.transform]).toEqual(['', ''])
  })
})

describe('patterns beside colours', () => {
  const bars: Partial<ChartSpec> = { kind: 'bar', series: 'route', patterns: true }

  it('are laid over all colours of series but the first, each its own, and over those of the key', () => {
    draw([], bars, routes())
    const fills = [...new Set(all('.chart-bar').map(node => node.getAttribute('fill')))]
    expect(fills.map(fill => /^url\(#(.+)\)$/.exec(fill!)?.[1] ?? 'plain')).toEqual(['plain', svg.querySelector('pattern')!.id])
    expect(all('.chart-swatch').map(node => node.getAttribute('fill'))).toEqual(fills)
    // The colour lies beneath the pattern.
    expect(svg.querySelector('.chart-pattern-ground')!.getAttribute('fill')).toBe(
      tonesOf({ ...newChart('t'), ...bars }, houseTheme.palette).of({ name: 'voice', at: 1 }),
    )
  })

  it('are dashes of lines, and go where they are not wanted any more', () => {
    draw([], { ...bars, kind: 'line' }, routes())
    const dashes = () => all('.chart-line').map(node => node.getAttribute('stroke-dasharray'))
    expect(dashes().map(dash => dash !== null)).toEqual([false, true])
    draw([], { ...bars, kind: 'line', patterns: false }, routes())
    expect(dashes()).toEqual([null, null])
    expect(all('pattern')).toEqual([])
  })
})
