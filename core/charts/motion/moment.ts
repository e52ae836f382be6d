import { gatheredFor, type DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import { memoByRecords } from '../../values'
import type { ChartDrawing, ChartLabel, ChartRoom } from '../drawing'
import { touch, type Rectangle } from '../labels'
import { boundsOfMark } from '../marks/bounds'
import type { RunMoment } from '../run-moment'
import { labelAt, settingOf } from '../setting'
import { evenlyBetween } from './passage'
import { uncovered } from './uncovered'
import { shownRows, type ShownRows } from './shown-rows'

type Draw = (spec: ChartSpec, table: DataTable, room: ChartRoom) => ChartDrawing
type Shown = ShownRows & { run: RunMoment }

/** px that the moment keeps free around it. */
const clear = 16

const boxOf = ({ x, y, width, height }: ChartLabel): Rectangle => ({ x: x - width / 2, y: y - height / 2, width, height })

/** The moment, large at the lower right of a room. */
function toldAt({ spec, table, run }: Shown, room: ChartRoom): ChartLabel {
  const setting = settingOf(spec, table, { ...room, run })
  const { label } = run.moments[Math.min(run.moments.length - 1, Math.floor(run.time + 1e-9))]!
  // All of them as wide as the widest, so that what is told does not move.
  const widest = run.moments.reduce((wide, one) => Math.max(wide, setting.width(one.label, 'total')), 0)
  const height = setting.line('total')
  const place = { x: room.width - Math.min(widest, room.width) / 2, y: room.height - height / 2 }
  return labelAt(setting, 'total', label, place, { kind: 'total', key: 'moment', tone: { name: 'second-ink' } })
}

/** With more moments than this, some of them are looked at, evenly. */
const mostLooked = 24

/** Whether the moment has a free corner all the way through, so that it may stand beside the marks. */
const hasFreeCorner = memoByRecords(
  (spec: ChartSpec, table: DataTable, room: ChartRoom, _draw: Draw) => [
    spec,
    `${room.width} ${room.height} ${room.textSize} ${room.language} ${room.fonts.body}`,
    table,
    room.measurer,
  ],
  (spec, table, room, draw): boolean => {
    const first = shownRows(spec, table, room.language, 0)
    const moments = first.run?.moments ?? []
    const every = Math.max(1, Math.ceil(moments.length / mostLooked))
    return moments.every((_, at) => {
      if (at % every && at < moments.length - 1) return true
      const shown = shownRows(spec, table, room.language, at) as Shown
      const drawing = draw(shown.spec, shown.table, { ...room, run: shown.run })
      const told = boxOf(toldAt(shown, room))
      const own = { x: told.x - clear, y: told.y + told.height * 0.15, width: told.width + clear, height: told.height * 0.85 }
      return ![...drawing.marks.map(boundsOfMark), ...drawing.labels.map(boxOf)].some(other => touch(own, other))
    })
  },
)

/** How rows are drawn at a moment, and between two: null where the kind goes from the one drawing to the other. */
export interface MomentDrawing {
  settled: Draw
  passing: Draw | null
}

/** Draws a chart at a time of the table that it runs through. */
export function drawMoment(spec: ChartSpec, table: DataTable, shown: Shown, room: ChartRoom, how: MomentDrawing): ChartDrawing {
  const from = Math.floor(shown.run.time)
  const share = shown.run.time - from
  if (!share) return drawNow(spec, table, shown, room, how.settled)
  if (how.passing) {
    // Words that pass each other are not left out all at once: the one gives way to the other, and comes back.
    const drawing = drawNow(spec, table, shown, room, how.passing, how.settled)
    return { ...drawing, labels: uncovered(drawing.labels) }
  }
  const at = (time: number) => drawnKnot(spec, table, room, time, how.settled)
  return evenlyBetween(at(from), at(from + 1), share, room)
}

const drawnKnot = memoByRecords(
  (spec: ChartSpec, table: DataTable, room: ChartRoom, time: number, _draw: Draw) => [
    spec,
    `${time} ${room.width} ${room.height} ${room.textSize} ${room.language}`,
    table,
    room.measurer,
    room.fonts,
    room.map,
    room.voices,
  ],
  (spec, table, room, time, draw) => drawNow(spec, table, shownRows(spec, table, room.language, time) as Shown, room, draw),
  { keep: 4 },
)

/** Draws the rows of a time: the moment told large, what comes or goes seen as far as it is there. */
function drawNow(spec: ChartSpec, table: DataTable, shown: Shown, room: ChartRoom, draw: Draw, settled = draw): ChartDrawing {
  const { run } = shown
  const told = spec.moment?.told === false ? null : toldAt(shown, room)
  const beneath = told && !hasFreeCorner(spec, table, room, settled)
  const drawing = draw(shown.spec, shown.table, { ...room, height: Math.max(1, room.height - (beneath ? told.height : 0)), run })
  const { categories } = gatheredFor(shown.spec, shown.table, room.language)
  const seen =
    drawing.parts === categories.length ? (part: number | null) => (part === null ? 1 : run.seen(categories[part]!.key)) : () => 1
  const faded = <T extends { part: number | null; opacity?: number }>(thing: T): T => {
    const share = seen(thing.part)
    return share < 1 ? { ...thing, opacity: (thing.opacity ?? 1) * share } : thing
  }
  const moment = run.moments[Math.round(run.time)]?.label
  return {
    ...drawing,
    marks: drawing.marks.map(faded),
    labels: [...drawing.labels.map(faded), ...(told ? [told] : [])],
    description: moment === undefined ? drawing.description : `${moment}: ${drawing.description}`,
  }
}
