import { curveLinear, curveMonotoneX, line as lineThrough } from 'd3-shape'
import { onCurve } from '../../place'
import type { DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import { optionOf } from '../../values'
import type { ChartDrawing, ChartRoom } from '../drawing'
import { gapless } from '../gapless'
import type { ChartMark, LineMark, Point, PointMark } from '../marks'
import { drawOnPlane, endOf, type AmountAt, type Plane } from '../plane'
import { seriesTones } from '../series-tones'
import { settingOf, type Setting } from '../setting'
import { besideLabels, besideWidth, nameBeside, type BesideWish } from '../side-labels'
import type { Tone } from '../tones'
import { outOfOrder } from '../shape-of-data'
import type { ChartKind } from './kind'

/** Pieces that a smooth stretch between two points is drawn in. */
const pieces = 12

/**
 * The stretches of a line from each point to the next, each as points. A smooth one is d3's monotone curve (Steffen 1990), which never
 * goes beyond the points that it joins.
 */
function stretches(points: readonly Point[], smooth: boolean): Point[][] {
  const made: Point[][] = []
  let at: Point = { x: 0, y: 0 }
  const pen = {
    moveTo(x: number, y: number) {
      at = { x, y }
    },
    lineTo(x: number, y: number) {
      made.push([at, (at = { x, y })])
    },
    bezierCurveTo(x1: number, y1: number, x2: number, y2: number, x: number, y: number) {
      const [from, out, into, to] = [at, { x: x1, y: y1 }, { x: x2, y: y2 }, { x, y }]
      made.push(Array.from({ length: pieces + 1 }, (_, piece) => onCurve(from, out, into, to, piece / pieces)))
      at = { x, y }
    },
    closePath() {},
  }
  const draw = lineThrough<Point>(
    ({ x }) => x,
    ({ y }) => y,
  ).curve(smooth ? curveMonotoneX : curveLinear)
  draw.context(pen as unknown as CanvasRenderingContext2D)([...points])
  return made
}

/** How much larger a highlighted dot is. */
const highlightedLarger = 1.3

/** Dots of rows that follow each other without one between that has no number. */
function runsOf(dots: readonly PointMark[]): PointMark[][] {
  const runs: PointMark[][] = []
  for (const dot of dots) {
    const last = runs.at(-1)
    if (last && last.at(-1)?.part === dot.part - 1) last.push(dot)
    else runs.push([dot])
  }
  return runs
}

/** Beyond this slope a line would run through words that are centred above a dot. */
const steep = 0.3
const slope = (from: PointMark | undefined, to: PointMark | undefined) => (from && to ? (to.y - from.y) / Math.max(1, to.x - from.x) : 0)

/** Where a dot says its amount: above it, aside of a line that is steep there, or below where the line comes down from both sides. */
function amountBeside(dot: PointMark, before: PointMark | undefined, after: PointMark | undefined): AmountAt {
  const [into, out] = [slope(before, dot), slope(dot, after)]
  const below = !!before && !!after && into > 0 && out < 0
  // A line that comes down from the left leaves the right free, and one that goes up to the right the left.
  const aside = below || (into <= steep && out >= -steep) ? 0 : into > steep ? 1 : -1
  return { ...endOf(dot, below), y: below ? dot.y + dot.radius : dot.y - dot.radius, aside }
}

/** Widths of a line beside others, and of one that is highlighted, px at the usual size; its dot at the end, as a radius. */
const quietWidth = 5
const highlightedWidth = 9
/** The most of the chart’s width that names of lines take. */
const mostBeside = 0.32
const usualThick = 6
const dotOf = (width: number) => width * 1.2

/** What stands at the end of a line of several: its last amount and its name. */
const endWords = (setting: Setting, index: number) => {
  const last = setting.data.values[index]!.findLast(value => value !== null)
  return { words: `${setting.words(last ?? null)}  ${setting.data.series[index]!.label}`, last: last ?? null }
}

/** One line of several: its marks, and what is said at its end. */
function lineOf(
  setting: Setting,
  plane: Plane,
  part: number,
  look: { smooth: boolean; thick: number },
): { marks: ChartMark[]; wish: BesideWish | null } {
  const { data, isHighlighted, ratio, room, size } = setting
  const { key } = data.series[part]!
  const highlighted = isHighlighted(key)
  const width = ((highlighted ? highlightedWidth : quietWidth) * ratio * look.thick) / usualThick
  const own = seriesTones(setting, 'voices')[part]!
  const tone: Tone = own.name === 'quiet' ? { name: 'line' } : own
  const points = data.values[part]!.map((value, at) => (value === null ? null : { x: plane.across(at), y: plane.up(value) }))
  const common = { part, value: null, highlighted, tone, foot: plane.baseline }
  const through = (run: Point[]) => stretches(run, look.smooth).flatMap((stretch, at) => (at ? stretch.slice(1) : stretch))
  const marks = gapless(points)
    .filter(run => run.length > 1)
    .map((run, at): ChartMark => ({ ...common, shape: 'line', key: at ? `${key} ${at}` : key, points: through(run), width }))
  const end = points.findLast(point => point !== null)
  if (!end) return { marks, wish: null }
  const { words, last } = endWords(setting, part)
  marks.push({ ...common, shape: 'point', key, value: last, ...end, radius: dotOf(width), edge: 2 })
  const wide = room.width * mostBeside - size('name') * 1.6
  const ink: Tone = tone.name === 'line' ? { name: 'ink' } : tone
  return { marks, wish: nameBeside(setting, { key, part, y: end.y, words, room: wide, weighs: -part, highlighted, tone: ink }) }
}

/** Several lines in one plane, each named at its end. */
function drawSeveral(spec: ChartSpec, table: DataTable, room: ChartRoom, smooth: boolean, thick: number): ChartDrawing {
  const kind = (setting: Setting) => ({
    of: 'Line chart',
    parts: 'points',
    beyond: thick * 2,
    points: true,
    axis: true,
    right: besideWidth(setting, index => endWords(setting, index).words, mostBeside),
  })
  return drawOnPlane(spec, table, room, kind, (_, plane, __, setting) => {
    const lines = setting.data.series.map((___, part) => lineOf(setting, plane, part, { smooth, thick }))
    // Lines that are highlighted lie on the others.
    const marks = lines.flatMap(one => one.marks).sort((a, b) => Number(a.highlighted) - Number(b.highlighted))
    const wishes = lines.flatMap(({ wish }) => wish ?? [])
    const from = plane.right - setting.size('axis') * 0.9
    const place = { x: plane.right + setting.size('name') * 1.2, from, at: 'start' as const, top: 0, bottom: plane.namesTop }
    return { marks, ends: [], taken: [], names: setting.data.series.map(({ label }) => label), ...besideLabels(setting, wishes, place) }
  })
}

/** A line from row to row, with a dot at each; of several series, one line each. Where a row has no number the line is broken. */
export const line: ChartKind = {
  name: 'line',
  isMarked: true,
  label: 'Lines',
  part: 'point',
  shows: ['change'],
  takes: ['across', 'height', 'series'],
  options: [
    { kind: 'boolean', name: 'smooth', label: 'Smooth', initial: false },
    { kind: 'boolean', name: 'dots', label: 'With dots', initial: true },
    { kind: 'number', name: 'thick', label: 'Line as thick as', min: 1, max: 40, step: 1, unit: 'px', initial: usualThick },
  ],
  suits: ({ series, categories, time, inOrder, missing }) => {
    if (categories < 3) return { score: 0.1, why: 'Too few moments for a line.' }
    if (!time) return { score: 0.15, why: 'A line from row to row.', warning: 'These rows have no order that a line could follow.' }
    if (!inOrder) return { score: 0.2, why: 'A line from row to row.', ...outOfOrder }
    const gaps = missing ? ' Lines are broken where a number is missing.' : ''
    if (series > 1)
      return { score: series > 12 ? 0.5 : 0.92, why: `${categories} moments in order, ${series} lines named at their ends.${gaps}` }
    return { score: categories > 12 ? 0.88 : 0.74, why: `${categories} moments in order: the eye follows one line.${gaps}` }
  },
  draw(spec, table, room) {
    const chosen = spec.options ?? {}
    const width = optionOf<number>(line, chosen, 'thick')
    const smooth = optionOf<boolean>(line, chosen, 'smooth')
    if (settingOf(spec, table, room).data.series.length > 1) return drawSeveral(spec, table, room, smooth, width)
    const radius = optionOf<boolean>(line, chosen, 'dots') ? width * 1.4 : width / 2
    const kind = { of: 'Line chart', parts: 'points', beyond: radius * highlightedLarger }
    return drawOnPlane(spec, table, room, kind, ({ rows }, plane, isHighlighted) => {
      const foot = plane.baseline
      const dots = rows.flatMap(({ key, value }, part): PointMark[] => {
        if (value === null) return []
        const place = { x: plane.across(part) + plane.band / 2, y: plane.up(value) }
        const highlighted = isHighlighted(key)
        return [
          { shape: 'point', key, part, value, highlighted, ...place, radius: highlighted ? radius * highlightedLarger : radius, foot },
        ]
      })
      const lines = runsOf(dots).flatMap(run =>
        stretches(run, smooth).flatMap((points, index): LineMark[] => {
          const to = run[index + 1]
          return to ? [{ shape: 'line', key: to.key, part: to.part, value: to.value, highlighted: false, points, width, foot }] : []
        }),
      )
      const ends = dots.map((dot, index) => amountBeside(dot, dots[index - 1], dots[index + 1]))
      const taken = dots.map(({ x, y, radius: r }) => ({ x: x - r, y: y - r, width: 2 * r, height: 2 * r }))
      return { marks: [...lines, ...dots], ends, taken }
    })
  },
}
