import type { DataTable, Entry } from '../../data'
import type { ChartSpec } from '../../model'
import { memoByRecords } from '../../values'
import { drawChart } from '../catalogue'
import type { ChartRoom } from '../drawing'
import { evenly } from './ease'
import { paceOf } from './pace'
import { passageBetween, type Passage } from './passage'
import { runOf, timeOf } from './shown-rows'

/** Seconds from one moment to the next, and the longest that a run takes by itself. */
const tempo = { step: 1.1, most: 24 }
/** The share of a run in which what else differs has changed. */
const settles = 0.2

/** The moments that a chart can run through along a column of its table; none where the column says none. */
export const timesOf = (spec: ChartSpec, table: DataTable, column: string, language: string): readonly Entry[] =>
  runOf({ ...spec, moment: { column, at: 'last' } }, table, language)?.moments ?? []

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

/** The moments between which a chart runs from one state to another; null where it does not. */
function spanOf(from: ChartSpec, to: ChartSpec, table: DataTable, language: string) {
  const [a, b] = [from.moment, to.moment]
  if (!a || !b || a.column !== b.column) return null
  const fields = (spec: ChartSpec) => [
    spec.kind,
    spec.table,
    spec.across,
    spec.height,
    spec.series,
    spec.beside,
    spec.aggregate,
    spec.along,
    spec.size,
  ]
  if (!same(fields(from), fields(to))) return null
  const [run, other] = [runOf(from, table, language), runOf(to, table, language)]
  if (!run || !other) return null
  const [starts, ends] = [timeOf(from, run), timeOf(to, other)]
  return starts === ends ? null : { starts, ends, moments: run.moments, pace: paceOf(run, starts, ends, b.goes) }
}

const besides = ({ moment: _moment, ...rest }: ChartSpec) => rest

/**
 * The way of a chart from one specification to another of the same table. Where both show a moment along the same column, it runs through
 * all that lies between, forwards or back.
 */
function made(from: ChartSpec, to: ChartSpec, table: DataTable, room: ChartRoom): Passage {
  const [before, after] = [drawChart(from, table, room), drawChart(to, table, room)]
  const plain = passageBetween(before, after, room.width, room.height)
  const span = spanOf(from, to, table, room.language)
  if (!span) return plain
  const { starts, ends, moments, pace } = span
  const way = ends < starts ? -1 : 1
  const steps = Math.abs(ends - starts)
  const seconds = Math.min(tempo.most, pace.steps * tempo.step)
  const differs = !same(besides(from), besides(to))
  return {
    ...plain,
    seconds,
    axes: plain.axes && { begins: 0, ends: seconds },
    marks: { begins: 0, ends: seconds },
    labels: { begins: 0, ends: seconds },
    bends: false,
    runs: { from: moments[starts]!.label, to: moments[ends]!.label, steps },
    at(share, ease = evenly) {
      if (share <= 0) return before
      if (share >= 1) return after
      const time = starts + way * pace.at(ease(share))
      const now = drawChart(to, table, room, time)
      const changed = differs ? share / settles : 1
      return changed < 1 ? passageBetween(drawChart(from, table, room, time), now, room.width, room.height).at(changed) : now
    },
  }
}

/** The way of a chart from one specification to another; see `Passage`. Kept until what it is made from changes. */
export const passageOf = memoByRecords(
  (from: ChartSpec, to: ChartSpec, table: DataTable, room: ChartRoom) => [
    from,
    to,
    table,
    room.width,
    room.height,
    room.textSize,
    room.fonts,
    room.measurer,
    room.language,
    room.map,
    room.voices,
  ],
  made,
  { keep: 4 },
)
