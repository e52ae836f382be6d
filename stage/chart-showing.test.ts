import { beforeEach, describe, expect, it, vi } from 'vitest'
import { drawChart, newChart, type BarMark, type ChartDrawing, type ChartRoom } from '#core/charts'
import { houseTheme } from '#core/layouts'
import { roughMeasurer } from '#core/text'
import { chartShowing } from './chart-showing'

const room: ChartRoom = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const spec = newChart('t')
const rowsOf = (boats: number) => ({
  id: 't',
  name: 't',
  columns: [
    { name: 'month', type: 'text' as const, values: ['May', 'June'] },
    { name: 'boats', type: 'number' as const, values: [100, boats] },
  ],
})
const heightOf = (drawing: ChartDrawing | undefined) => (drawing?.marks.find(({ key }) => key === 'June') as BarMark | undefined)?.height

let clock = 0
let waiting: (() => void)[] = []
beforeEach(() => {
  clock = 0
  waiting = []
  vi.stubGlobal('performance', { now: () => clock })
  vi.stubGlobal('requestAnimationFrame', (step: () => void) => waiting.push(step))
  vi.stubGlobal('cancelAnimationFrame', (request: number) => {
    waiting[request - 1] = () => {}
  })
})
/** Lets so many ms pass, a frame every 20. */
function pass(ms: number) {
  for (const end = clock + ms; clock < end;) {
    clock += 20
    for (const step of waiting.splice(0)) step()
  }
}

/** A chart that is shown, with all that was drawn of it. */
function shown(moves = true) {
  const drawn: ChartDrawing[] = []
  const showing = chartShowing(
    drawing => void drawn.push(drawing),
    () => room,
    () => moves,
  )
  const rows = new Map<number, ReturnType<typeof rowsOf>>()
  const show = (boats: number, more: { rests?: boolean; look?: readonly unknown[]; drawing?: ChartDrawing } = {}) => {
    if (!rows.has(boats)) rows.set(boats, rowsOf(boats))
    const drawing = more.drawing ?? drawChart(spec, rows.get(boats)!, room)
    showing.show({ drawing, rows: rows.get(boats), look: more.look ?? [spec], rests: more.rests ?? true })
    return drawing
  }
  return { drawn, show, showing, last: () => drawn.at(-1) }
}

describe('a chart that gets other rows', () => {
  it('goes there mark by mark, and arrives at the very drawing of the new ones', () => {
    const { show, drawn, last } = shown()
    const before = heightOf(show(20))!
    const to = show(80)
    pass(200)
    const under = heightOf(last())!
    expect(under > before && under < heightOf(to)!).toBe(true)
    pass(3000)
    expect(last()).toBe(to)
    const count = drawn.length
    pass(1000)
    expect(drawn.length).toBe(count)
  })

  it('goes on from where its marks are when still other rows come', () => {
    const { show, last } = shown()
    show(20)
    show(80)
    pass(200)
    const under = heightOf(last())!
    const to = show(30)
    expect(heightOf(last())).toBeCloseTo(under, 0)
    pass(3000)
    expect(last()).toBe(to)
  })

  it('goes to the state that is shown, not by way of the chart as composed', () => {
    const { show, last } = shown()
    const state = (boats: number) => drawChart({ ...spec, kind: 'lying-bar' }, rowsOf(boats), room)
    const old = state(20)
    show(20, { drawing: old })
    // The structure is looked through anew: composed first, then as the frame says.
    show(80)
    const to = state(80)
    show(80, { drawing: to })
    expect(last()!.marks.map(({ key }) => key)).toEqual(old.marks.map(({ key }) => key))
    pass(3000)
    expect(last()).toBe(to)
  })

  it('is drawn at once where nobody is to see motion, where it looks otherwise, and on its way between states', () => {
    const still = shown(false)
    still.show(20)
    const at = still.show(80)
    expect(still.last()).toBe(at)
    const other = shown()
    other.show(20)
    const anew = other.show(80, { look: [{ ...spec }] })
    expect(other.last()).toBe(anew)
    const moving = shown()
    moving.show(20)
    moving.show(80)
    const way = moving.show(80, { rests: false, drawing: drawChart({ ...spec, total: true }, rowsOf(80), room) })
    expect(moving.last()).toBe(way)
    pass(1000)
    expect(moving.last()).toBe(way)
  })

  it('is not drawn anew for what it shows already', () => {
    const { show, drawn } = shown()
    const drawing = show(20)
    show(20, { drawing })
    expect(drawn).toHaveLength(1)
  })
})
