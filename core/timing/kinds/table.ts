import { infoOf, type Deck } from '../../model'
import { layoutOfTable } from '../../tables'
import { addReading, countReading, nothingToRead } from '../../text'
import type { TimingContext } from '../context'
import type { By, ShownKind, TimedKind } from './kind'

const names: Readonly<Partial<Record<By, string>>> = { line: 'row', series: 'column', mark: 'cell' }

const laid = (deck: Deck, element: ShownKind<'table'>, { table, measurer }: TimingContext) => layoutOfTable(deck, element, table, measurer)

export const tableKind: TimedKind<ShownKind<'table'>> = {
  ways: () => ['line', 'series', 'mark'],
  finest: () => 'mark',
  indices(deck, element, by, _fine, context) {
    const { rows, columns } = laid(deck, element, context) ?? { rows: 0, columns: 0 }
    return Array.from({ length: rows * columns }, (_, index) =>
      by === 'line' ? Math.floor(index / columns) : by === 'series' ? index % columns : index,
    )
  },
  reading(deck, element, context, covered) {
    const { language } = infoOf(deck)
    return (laid(deck, element, context)?.cells ?? [])
      .filter((_, index) => !covered || covered(index))
      .reduce((sum, cell) => addReading(sum, countReading(cell.lines.join(' '), language)), nothingToRead)
  },
  words: (deck, element, _fine, context) => laid(deck, element, context)?.cells.map(cell => cell.lines.join(' ')) ?? [],
  partName: (_, by) => names[by] ?? 'part',
}
