import { amountsOfParts, chartKindNamed, drawingOfElement, partedBySeries, tableOfChart, type Parted } from '../../charts'
import { infoOf, type Deck } from '../../model'
import type { TimingContext } from '../context'
import type { By, ShownKind, TimedKind } from './kind'

/** Of a chart with very many marks a viewer compares about as many as these. */
const marksCompared = 12

/** The chart as composed, its parts told apart by series too where that is asked for; null where it cannot be drawn. */
function drawn(deck: Deck, element: ShownKind<'chart'>, fine: By, { table, measurer }: TimingContext): Parted | null {
  const drawing = drawingOfElement(deck, element, null, table, measurer)
  const rows = tableOfChart(deck, element, table)
  if (!drawing || !rows || !element.chart) return null
  return fine === 'series' ? partedBySeries(drawing, element.chart, rows, infoOf(deck).language) : { drawing, per: 1, bySeries: false }
}

const indicesIn = ({ drawing, per, bySeries }: Parted, by: By): number[] =>
  Array.from({ length: drawing.parts }, (_, index) =>
    by === 'mark' ? Math.floor(index / per) : bySeries ? (per > 1 ? index % per : index) : 0,
  )

export const chartKind: TimedKind<ShownKind<'chart'>> = {
  ways: ({ chart }) => (chart?.series || chart?.beside?.length ? ['mark', 'series'] : ['mark']),
  finest: ways => (ways.includes('series') ? 'series' : 'mark'),
  indices(deck, element, by, fine, context) {
    const made = drawn(deck, element, fine, context)
    return made ? indicesIn(made, by) : []
  },
  amounts(deck, element, by, context) {
    const made = drawn(deck, element, by, context)
    if (!made) return []
    const sums: (number | null)[] = []
    const own = amountsOfParts(made.drawing)
    indicesIn(made, by).forEach((index, part) => {
      const amount = own[part] ?? null
      sums[index] = amount === null ? (sums[index] ?? null) : (sums[index] ?? 0) + amount
    })
    return sums
  },
  reading(deck, element, context, covered, by) {
    const marks = chartKind.indices(deck, element, 'mark', 'mark', context)
    const shown = by === 'series' ? marks : marks.filter(index => !covered || covered(index))
    return { words: 0, numbers: 0, marks: Math.min(marksCompared, shown.length) }
  },
  words: (deck, element, fine, context) => drawn(deck, element, fine, context)?.drawing.names ?? [],
  partName: (element, by) => (by === 'series' ? 'series' : chartKindNamed(element.chart?.kind ?? '').part),
}
