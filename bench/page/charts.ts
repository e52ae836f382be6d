import { select, type Selection } from 'd3-selection'
import 'd3-transition'
import { drawChart, newChart, passageBetween, type ChartMark, type ChartRoom } from '#core/charts'
import { houseTheme } from '#core/layouts'
import { roughMeasurer } from '#core/text'
import { drawChartInto } from '#stage/chart-nodes'
import { boats } from '../rows'

/** What runs in the page: the way of a chart to other rows, drawn by this application and by D3’s transitions on the DOM. */
const room: ChartRoom = { width: 1600, height: 800, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const seconds = 1.5

/** Where the callbacks of frames note how long they took, ms, by the time of their frame; set before anything here was loaded. */
declare const frameTimes: Map<number, number>

/** Script time of a frame while something moves, ms: the mean over the frames that came. */
async function perFrame(run: () => Promise<unknown>): Promise<number> {
  frameTimes.clear()
  await run()
  const all = [...frameTimes.values()]
  return all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length)
}

function svgOf() {
  document.body.replaceChildren()
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg')
  svg.setAttribute('viewBox', `0 0 ${room.width} ${room.height}`)
  document.body.append(svg)
  return svg
}

async function ours(count: number, kind: string) {
  const spec = { ...newChart('t'), kind, across: 'boat', height: 'riders', along: 'knots', labels: 'none' as const }
  const [from, to] = [1, 2].map(seed => drawChart(spec, boats(count, seed), room)) as [
    ReturnType<typeof drawChart>,
    ReturnType<typeof drawChart>,
  ]
  const svg = svgOf()
  const passage = passageBetween(from, to, room.width, room.height)
  drawChartInto(svg, from, spec, houseTheme)
  const time = await perFrame(
    () =>
      new Promise<void>(resolve => {
        let begins: number | null = null
        const step = (now: number) => {
          begins ??= now
          const share = Math.min(1, (now - begins) / (seconds * 1000))
          drawChartInto(svg, passage.at(share), spec, houseTheme)
          if (share < 1) window.requestAnimationFrame(step)
          else resolve()
        }
        window.requestAnimationFrame(step)
      }),
  )
  return { time, from, to }
}

const attributesOf = (mark: ChartMark): Record<string, number> =>
  mark.shape === 'point'
    ? { cx: mark.x, cy: mark.y, r: mark.radius }
    : mark.shape === 'bar'
      ? { x: mark.x, y: mark.y, width: mark.width, height: mark.height }
      : {}

/** The same marks between the same places, each an element whose attributes a transition moves. */
async function d3(from: readonly ChartMark[], to: readonly ChartMark[]) {
  const svg = svgOf()
  const after = new Map(to.map(mark => [mark.key, mark]))
  const moved = from.filter(mark => after.has(mark.key) && Object.keys(attributesOf(mark)).length)
  const marks = select(svg)
    .selectAll('.mark')
    .data(moved)
    .join(enter => enter.append(mark => document.createElementNS('http://www.w3.org/2000/svg', mark.shape === 'point' ? 'circle' : 'rect')))
  const put = (selection: Selection<SVGElement, ChartMark, SVGSVGElement, unknown>) => {
    for (const name of Object.keys(attributesOf(moved[0]!))) selection.attr(name, mark => attributesOf(mark)[name]!)
  }
  put(marks as unknown as Selection<SVGElement, ChartMark, SVGSVGElement, unknown>)
  return await perFrame(async () => {
    const way = marks.transition().duration(seconds * 1000)
    for (const name of Object.keys(attributesOf(moved[0]!))) way.attr(name, mark => attributesOf(after.get(mark.key)!)[name]!)
    await way.end()
  })
}

/** Script time of a frame, ms, of both, for so many marks. */
async function measure(count: number, kind: string) {
  const own = await ours(count, kind)
  return { ours: own.time, d3: await d3(own.from.marks, own.to.marks) }
}
Object.assign(window, { measure })
