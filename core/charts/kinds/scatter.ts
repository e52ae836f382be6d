import { extent } from 'd3-array'
import { scaleLinear, scaleSqrt } from 'd3-scale'
import { formatNumber, keyOf, keyWords, scaleFor, type Column } from '../../data'
import { chosenColumns } from '../columns'
import type { ChartLabel, ChartRule } from '../drawing'
import { seriesKey } from '../key'
import { placeLabels, type Candidate } from '../labels'
import type { LineMark, PointMark } from '../marks'
import { nearOf, ticksOf } from '../plane'
import { seriesTones } from '../series-tones'
import { labelAt, saidBy, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import { optionOf } from '../../values'
import { finished } from '../finish'
import type { ChartKind } from './kind'

const dot = 12
const lit = 17
const largest = 60
/** How much of the plane the bubbles may cover, were all as large as the largest. */
const covered = 0.12

/**
 * The straight line nearest to points (least squares) and how much of the spread it explains (the coefficient of determination); null where
 * they do not spread across.
 */
export function trendOf(points: readonly { x: number; y: number }[]): { at(x: number): number; slope: number; explains: number } | null {
  const n = points.length
  if (n < 3) return null
  const [mx, my] = [points.reduce((sum, { x }) => sum + x, 0) / n, points.reduce((sum, { y }) => sum + y, 0) / n]
  let [xx, xy, yy] = [0, 0, 0]
  for (const { x, y } of points) {
    xx += (x - mx) ** 2
    xy += (x - mx) * (y - my)
    yy += (y - my) ** 2
  }
  if (!(xx > 0)) return null
  const slope = xy / xx
  return { at: x => my + slope * (x - mx), slope, explains: yy > 0 ? (xy * xy) / (xx * yy) : 0 }
}

/** Dots beyond this many say nothing more: of more rows as many are drawn, evenly taken, and it is said. */
const mostDots = 50_000

/** A row that has both amounts. */
interface Spot {
  index: number
  x: number
  y: number
  key: string
  label: string
  /** The number of its series. */
  group: number
  /** What sizes it; null where nothing does. */
  third: number | null
}

/** The columns that are drawn, and the rows that have both amounts. */
function spotsOf({ spec, table, data, room }: Setting) {
  const { height: up, along, size: sized, series: parting } = chosenColumns(spec, table)
  const groups = new Map(data.series.map(({ key }, at) => [key, at]))
  const spots = (up && along ? up.values : []).flatMap((y, index): Spot[] => {
    const x = along!.values[index]
    if (typeof y !== 'number' || typeof x !== 'number') return []
    const third = sized?.values[index]
    return [
      {
        index,
        x,
        y,
        key: keyOf(data.category.values[index]),
        label: keyWords(data.category, data.category.values[index] ?? null, room.language),
        group: parting ? (groups.get(keyOf(parting.values[index])) ?? 0) : 0,
        third: typeof third === 'number' ? Math.max(0, third) : null,
      },
    ]
  })
  const every = Math.ceil(spots.length / mostDots)
  return { up, along, sized, all: spots.length, spots: every > 1 ? spots.filter((_, at) => at % every === 0) : spots }
}
type Spots = ReturnType<typeof spotsOf>

/** How the numbers of an axis are written: as its own column asks for. */
function writer({ spec, room, data }: Setting, column: Column | null, ticks: readonly number[]) {
  const among = (column?.values ?? []).filter(value => typeof value === 'number')
  const own = column === data.amount ? spec.format : { ...spec.format, prefix: '', suffix: '' }
  const scale = column?.kind === 'percent' ? ('percent' as const) : own.scale === 'auto' ? scaleFor(among) : own.scale
  return (value: number) => formatNumber(value, { ...own, scale }, room.language, ticks)
}

/** Where amounts stand, both ways. The dots end where the rows do, and the axis with them. */
function planOf(setting: Setting, { up, along, sized, spots }: Spots, head: number) {
  const { room, size, ratio, line, width } = setting
  // As a table is run through, the axes stand: they hold all of its moments.
  const through = (column: Column | null, now: readonly number[]) => setting.run?.extents.get(column?.name ?? '') ?? now
  const alongEnds = nearOf(
    through(
      along,
      spots.map(({ x }) => x),
    ),
  )
  const ticks = {
    up: ticksOf(
      nearOf(
        through(
          up,
          spots.map(({ y }) => y),
        ),
      ),
    ),
    along: ticksOf(alongEnds, 6).filter(tick => tick >= alongEnds[0] && tick <= alongEnds[1]),
  }
  const words = { up: writer(setting, up, ticks.up), along: writer(setting, along, ticks.along) }
  const left = ticks.up.reduce((wide, tick) => Math.max(wide, width(words.up(tick), 'axis')), 0) + size('axis') * 0.6
  const top = head + line('axis') * 1.3
  const bottom = Math.max(top + 1, room.height - line('axis') * 2.5)
  const right = room.width - size('axis')
  const pad = largest * ratio * 0.3
  const most = through(
    sized,
    spots.map(({ third }) => third ?? 0),
  ).reduce((max, third) => Math.max(max, third), 1e-9)
  const count = Math.max(1, setting.run?.rows ?? spots.length)
  const bubble = Math.max(4, Math.min(largest * ratio, Math.sqrt(((bottom - top) * (right - left) * covered) / count)))
  return {
    ticks,
    words,
    left,
    right,
    top,
    bottom,
    head,
    x: scaleLinear(alongEnds, [left + pad, Math.max(left + pad + 1, right - pad)]),
    y: scaleLinear([ticks.up[0]!, ticks.up.at(-1)!], [bottom - 4, top + 4]),
    radius: sized ? scaleSqrt([0, most], [2, bubble]) : null,
    /** Dots are smaller where there are many. */
    crowd: Math.max(0.3, Math.min(1, 9 / Math.sqrt(count))),
  }
}
type Plan = ReturnType<typeof planOf>

function dotsOf(setting: Setting, { spots }: Spots, plan: Plan): PointMark[] {
  const { data, isHighlighted, anyHighlighted, ratio } = setting
  const several = data.series.length > 1
  const tones = seriesTones(setting, 'voices')
  const loose = plan.radius ? { opacity: 0.75, edge: 2 } : spots.length > 40 ? { opacity: 0.8 } : {}
  return spots.map((spot, part): PointMark => {
    const highlighted = isHighlighted(spot.key) || (several && isHighlighted(data.series[spot.group]!.key))
    const own: Tone = several ? tones[spot.group]! : { name: anyHighlighted ? 'quiet' : 'plain' }
    const radius = plan.radius ? plan.radius(spot.third ?? 0) : (highlighted ? lit : dot * plan.crowd) * ratio
    const common = {
      key: `${spot.key} ${spot.index}`,
      part,
      value: spot.y,
      highlighted,
      tone: highlighted ? ({ name: 'highlighted' } as const) : own,
    }
    return { shape: 'point', ...common, x: plan.x(spot.x), y: plan.y(spot.y), radius, foot: plan.bottom, ...loose }
  })
}

type Trend = ReturnType<typeof trendOf>

/** Names of those that are highlighted, and of those that lie furthest from what the others say. */
function namesOf(
  setting: Setting,
  { spots }: Spots,
  plan: Plan,
  marks: readonly PointMark[],
  trend: Trend,
): { labels: ChartLabel[]; leftOut: string[] } {
  const { spec, line, room } = setting
  if (spec.labels === 'none') return { labels: [], leftOut: [] }
  const centre = { x: (plan.left + plan.right) / 2, y: (plan.top + plan.bottom) / 2 }
  const off = spots.map((spot, at) =>
    trend ? Math.abs(marks[at]!.y - plan.y(trend.at(spot.x))) : Math.hypot(marks[at]!.x - centre.x, marks[at]!.y - centre.y),
  )
  const most = Math.max(Math.round(optionOf<number>(scatter, spec.options ?? {}, 'named')), marks.filter(mark => mark.highlighted).length)
  const wanted = marks
    .filter(({ part }) => spots[part]!.label)
    .sort((a, b) => Number(b.highlighted) - Number(a.highlighted) || off[b.part]! - off[a.part]!)
    .slice(0, most)
  const candidates = wanted.map((mark, rank): Candidate<ChartLabel> => {
    const look = {
      part: mark.part,
      key: `name ${mark.key}`,
      weight: 600,
      tone: { name: mark.highlighted ? ('highlighted' as const) : ('ink' as const) },
    }
    const label = labelAt(setting, 'note', spots[mark.part]!.label, { x: 0, y: 0 }, look)
    const [width, height] = [label.width, line('note')]
    const away = mark.radius + 8
    const at = (x: number, y: number) => ({ x, y, width, height })
    const beside = [at(mark.x + away, mark.y - height / 2), at(mark.x - away - width, mark.y - height / 2)]
    const over = [at(mark.x - width / 2, mark.y - away - height), at(mark.x - width / 2, mark.y + away)]
    return { label, priority: -rank, places: [...beside, ...over] }
  })
  // Of very many dots, all that is left free between them is chance.
  const taken = marks.length > 3000 ? [] : marks.map(({ x, y, radius: r }) => ({ x: x - r, y: y - r, width: 2 * r, height: 2 * r }))
  const area = { x: plan.left, y: plan.top - line('axis'), width: room.width - plan.left, height: plan.bottom - plan.top + line('axis') }
  const { placed, leftOut } = placeLabels(candidates, area, taken)
  return {
    labels: placed.map(({ label, place }) => ({ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 })),
    leftOut: leftOut.map(saidBy),
  }
}

/** Both axes with their names. */
function axesOf(
  setting: Setting,
  { up, along }: Spots,
  { ticks, words, left, right, bottom, head, x, y }: Plan,
): { labels: ChartLabel[]; rules: ChartRule[] } {
  const { size, line } = setting
  const write = (key: string, text: string, place: { x: number; y: number; at?: 'start' | 'end' }) =>
    labelAt(setting, 'axis', text, place, { kind: 'axis', key })
  return {
    labels: [
      ...ticks.up.map(tick => write(`axis ${tick}`, words.up(tick), { x: left - size('axis') * 0.6, y: y(tick), at: 'end' })),
      ...ticks.along.map(tick => write(`along ${tick}`, words.along(tick), { x: x(tick), y: bottom + line('axis') * 0.75 })),
      write('along', `${along?.name ?? ''} →`, { x: right, y: bottom + line('axis') * 1.95, at: 'end' }),
      write('up', `↑ ${up?.name ?? ''}`, { x: 0, y: head + line('axis') * 0.5, at: 'start' }),
    ],
    rules: ticks.up.map((tick, at) => ({ from: { x: left, y: y(tick) }, to: { x: right, y: y(tick) }, kind: at ? 'grid' : 'base' })),
  }
}

/** How two amounts go together: a dot for each row, where one lies along and the other up; a third as its size. */
export const scatter: ChartKind = {
  name: 'scatter',
  label: 'Scatter',
  part: 'dot',
  shows: ['link', 'spread'],
  takes: ['across', 'height', 'along', 'size', 'series'],
  options: [
    { kind: 'boolean', name: 'trend', label: 'With the line nearest to all', initial: true },
    { kind: 'number', name: 'named', label: 'How many are named', min: 0, max: 60, step: 1, unit: '', initial: 5 },
  ],
  suits: ({ otherAmounts, rows }) => {
    if (!otherAmounts.length) return { score: 0, why: '', lacks: 'a second column of numbers' }
    return { score: rows > 200 ? 0.66 : rows > 7 ? 0.56 : 0.3, why: `Whether the two go together, in ${rows} dots.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const found = spotsOf(setting)
    const { spots, up, along, all } = found
    const key = seriesKey(setting)
    const plan = planOf(setting, found, key.height)
    const trend = optionOf<boolean>(scatter, spec.options ?? {}, 'trend') ? trendOf(spots) : null
    const dots = dotsOf(setting, found, plan)
    const lines: LineMark[] = []
    if (trend) {
      const ends = extent(spots.map(({ x }) => x)) as [number, number]
      const points = ends.map(value => ({ x: plan.x(value), y: Math.min(plan.bottom, Math.max(plan.top, plan.y(trend.at(value)))) }))
      const look = { tone: { name: 'line' as const }, width: 3, dash: [3, 9] }
      lines.push({ shape: 'line', key: 'trend', part: spots.length, value: null, highlighted: false, points, foot: plan.bottom, ...look })
    }
    const names = namesOf(setting, found, plan, dots, trend)
    const axes = axesOf(setting, found, plan)
    const way = trend && (trend.slope >= 0 ? 'rises' : 'falls')
    const says = trend ? ` The straight line nearest to all ${way} and explains ${setting.share(trend.explains, 1)} of the spread.` : ''
    return finished(setting, {
      of: 'Scatter chart',
      each: 'dots',
      marks: [...lines, ...dots],
      labels: [...axes.labels, ...names.labels, ...key.labels],
      rules: axes.rules,
      names: [...spots.map(({ label }) => label), ...lines.map(() => 'trend')],
      total: '',
      leftOut: names.leftOut,
      ...(all > spots.length ? { notes: [`${all} rows are too many to draw: ${spots.length} of them are, evenly taken.`] } : {}),
      description:
        along && up
          ? `Scatter chart of ${up.name} against ${along.name}, ${spots.length} dots${all > spots.length ? ` for ${all} rows` : ''}.${says}`
          : 'Scatter chart without two columns of numbers.',
    })
  },
}
