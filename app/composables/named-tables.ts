import { setFields } from '#core/edits'
import { expected, type Id } from '#core/values'
import { chartOfTable, wantedTable } from '#core/layouts'
import type { DataTable } from '#core/data'

/** Lets charts that still lack a table draw the one that their slide's words name, where the team has it. */
export function useNamedTables() {
  const store = useDeck()
  const tables = useTables()
  return async function draw(slides: readonly Id[]) {
    for (const slide of slides) {
      const wanted = store.deck && wantedTable(store.deck, slide)
      if (!wanted) continue
      const table = await $fetch<DataTable>('/api/tables', { query: { name: wanted.table.name } }).catch(expected(404))
      const still = table && store.deck && wantedTable(store.deck, slide)
      if (!still || still.chart !== wanted.chart) continue
      tables.keep(table)
      store.edit(
        `draw ${table.name}`,
        setFields(store.current, { table: 'elements', id: wanted.chart, fields: { chart: chartOfTable(table, wanted.table) } }),
      )
    }
  }
}
