import type { Row } from '../../data'
import type { RunMoment } from '../run-moment'
import type { Setting } from '../setting'

/** Rows of a chart's own, after those of its table. */
const ownRows = (run: RunMoment, rows: readonly Row[]) => rows.filter(({ key }) => run.place(key) === null).length

/** The places that rows stand in: one for each, or where a table is run through as many as it needs. */
export function placesIn({ run }: Setting, rows: readonly Row[]): number[] {
  return Array.from({ length: run ? run.rows + ownRows(run, rows) : rows.length }, (_, place) => place)
}

/** Where the band of a row begins, which may be on its way from place to place; `at` says it of the whole places. */
export function placedIn({ run }: Setting, rows: readonly Row[], at: (place: number) => number): (row: number) => number {
  if (!run) return at
  const first = at(0)
  const own = ownRows(run, rows)
  const step = run.rows + own > 1 ? at(1) - first : 0
  return row => first + step * (run.place(rows[row]!.key) ?? run.rows + row - (rows.length - own))
}
