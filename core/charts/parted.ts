import { gatheredFor, type DataTable } from '../data'
import type { ChartSpec } from '../model'
import { memoByRecords } from '../values'
import type { ChartDrawing } from './drawing'
import { shownRows } from './motion/shown-rows'

/** A drawing whose parts are told apart as finely as its series are. */
export interface Parted {
  drawing: ChartDrawing
  /** How many parts each of its parts as drawn has become: as many as there are series, or 1 where they are series themselves. */
  per: number
  /** Whether its parts are told apart by series at all. */
  bySeries: boolean
}

/** What stands in each part of a chart by each of its series, as parts of their own: those of the first part, then those of the second. */
export const partedBySeries = memoByRecords(
  (drawing: ChartDrawing, spec: ChartSpec, table: DataTable, language: string) => [drawing, spec, table, language],
  (drawing, spec, table, language): Parted => {
    const shown = shownRows(spec, table, language)
    const { categories, series } = gatheredFor(shown.spec, shown.table, language)
    if (series.length < 2 || drawing.parts !== categories.length) {
      const bySeries = series.length > 1 && drawing.parts === series.length
      return { drawing, per: 1, bySeries }
    }
    const per = series.length
    const known = new Map<string, number>(
      categories.flatMap(category =>
        series.flatMap(({ key }, at) => [[`${category.key} ${key}`, at] as const, [`${key} ${category.key}`, at] as const]),
      ),
    )
    const moved = <T extends { part: number | null }>(thing: T, key: string): T =>
      thing.part === null ? thing : { ...thing, part: thing.part * per + (known.get(key) ?? 0) }
    return {
      per,
      bySeries: true,
      drawing: {
        ...drawing,
        marks: drawing.marks.map(mark => moved(mark, mark.key)),
        // Words are called by what they say, and by the key of their mark.
        labels: drawing.labels.map(label => moved(label, label.key?.slice(label.key.indexOf(' ') + 1) ?? '')),
        parts: drawing.parts * per,
        names: drawing.names.flatMap(name => series.map(({ label }) => `${name}, ${label}`)),
      },
    }
  },
  { keep: 4 },
)

/** What the marks of each part of a drawing come to; null of a part whose marks have no amounts. */
export function amountsOfParts({ marks, parts }: ChartDrawing): (number | null)[] {
  const amounts: (number | null)[] = Array.from({ length: parts }, () => null)
  for (const { part, value } of marks) if (value !== null) amounts[part] = (amounts[part] ?? 0) + value
  return amounts
}
