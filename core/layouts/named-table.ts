import type { DataTable } from '../data'
import { elementsOf, type ChartSpec, type Deck } from '../model'
import type { Id } from '../values'
import { hasRows, newChart } from '../charts'
import { outlineOf } from './outline'

/** A table that words name, and the column that its figures are asked by: “crossings.csv by month”. */
export interface NamedTable {
  name: string
  by: string | null
}

const pattern = /([\p{L}\p{N}_][\p{L}\p{N}_ -]*\.(?:csv|tsv|xlsx?))(?:\s*,?\s*(?:by|per|nach|pro|je|par)\s+([\p{L}\p{N}_]+))?/iu

/** The table that a text names; null where it names none. */
export function namedTable(text: string): NamedTable | null {
  const match = pattern.exec(text)
  return match ? { name: match[1]!.trim(), by: match[2] ?? null } : null
}

/** Charts on a slide that still lack a table, where the slide's words name one. */
export function wantedTable(deck: Deck, slide: Id): { chart: Id; table: NamedTable } | null {
  const record = deck.slides[slide]
  const chart = record && elementsOf(deck, slide).find(element => element.kind === 'chart' && !hasRows(element))
  if (!chart) return null
  const { title, lines } = outlineOf(deck, record)
  const table = namedTable([title, ...lines.map(line => line.text)].join('\n'))
  return table && { chart: chart.id, table }
}

/** The chart of a table as words asked for it: across the column that they name, if the table has it. */
export function chartOfTable(table: DataTable, asked: NamedTable): ChartSpec {
  const column = asked.by && table.columns.find(one => one.name.toLocaleLowerCase() === asked.by!.toLocaleLowerCase())
  return { ...newChart(table.id), ...(column ? { across: column.name } : {}) }
}
