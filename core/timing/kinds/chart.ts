import { chartKindNamed, drawingOfElement } from '../../charts'
import type { Deck } from '../../model'
import type { TimingContext } from '../context'
import type { ShownKind, TimedKind } from './kind'

/** Of a chart with very many marks a viewer compares about as many as these. */
const marksCompared = 12

const drawing = (deck: Deck, element: ShownKind<'chart'>, { table, measurer }: TimingContext) =>
  drawingOfElement(deck, element, null, table, measurer)

export const chartKind: TimedKind<ShownKind<'chart'>> = {
  ways: ['mark'],
  finest: () => 'mark',
  indices(deck, element, by, _fine, context) {
    const parts = drawing(deck, element, context)?.parts ?? 0
    return Array.from({ length: parts }, (_, index) => (by === 'series' ? 0 : index))
  },
  reading(deck, element, context, covered, by) {
    const marks = chartKind.indices(deck, element, 'mark', 'mark', context)
    const shown = by === 'series' ? marks : marks.filter(index => !covered || covered(index))
    return { words: 0, numbers: 0, marks: Math.min(marksCompared, shown.length) }
  },
  words: (deck, element, _fine, context) => drawing(deck, element, context)?.names ?? [],
  partName: (element, by) => (by === 'series' ? 'series' : chartKindNamed(element.chart?.kind ?? '').part),
}
