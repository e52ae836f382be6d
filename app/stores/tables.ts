import type { DataTable } from '#core/data'

/** Tables by id, fetched when something first asks for them. A table never changes. */
export const useTables = defineStore('tables', () => {
  const known = shallowReactive(new Map<string, DataTable>())
  const asked = new Set<string>()

  function table(id: string): DataTable | undefined {
    const found = known.get(id)
    if (found || asked.has(id)) return found
    asked.add(id)
    void $fetch<DataTable>(`/api/tables/${id}`).then(fetched => known.set(id, fetched)).catch(() => setTimeout(() => asked.delete(id), 5000))
    return undefined
  }
  const keep = (kept: DataTable) => known.set(kept.id, kept)
  return { table, keep }
})
