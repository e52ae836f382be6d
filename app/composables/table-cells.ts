import type { DataTable } from '#core/data'

export interface CellChange {
  row: number
  column: string
  value: number | string | null
}

/** Writes into tables that are typed here, where a chart shows their cells; what was there comes back by one press. */
export function useTableCells() {
  const tables = useTables()

  async function write(table: DataTable, cells: readonly CellChange[], said: string): Promise<boolean> {
    const before = cells.map(({ row, column }) => ({
      row,
      column,
      value: table.columns.find(({ name }) => name === column)?.values[row] ?? null,
    }))
    const answer = await asking(() =>
      $fetch<{ held: string | null }>(`/api/data/${table.id}/cells`, { method: 'PUT', body: { version: table.version ?? '', cells } }),
    )
    await asking(tables.follow)
    if (!answer) return false
    if (answer.held) notifyProblem(`Saved, but not on air: ${answer.held}`)
    else
      useToast().add({
        title: said,
        color: 'success',
        icon: 'i-lucide-check',
        actions: [{ label: 'Take it back', onClick: () => void takeBack(table.id, before) }],
      })
    return true
  }
  async function takeBack(id: string, cells: readonly CellChange[]) {
    const now = tables.table(id)
    if (now) await write(now, cells, 'It is as it was.')
  }
  return { write }
}
