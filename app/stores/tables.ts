import type { DataTable } from '#core/data'

/** Tables by id, fetched when something first asks for them. One changes only where it is read otherwise in Data. */
export const useTables = defineStore('tables', () => {
  const known = shallowReactive(new Map<string, DataTable>())
  const asked = new Set<string>()
  /** How many are on their way: until they are here nothing can be said of the charts that read them. */
  const coming = ref(0)

  function table(id: string): DataTable | undefined {
    const found = known.get(id)
    if (found || asked.has(id)) return found
    asked.add(id)
    coming.value++
    void $fetch<DataTable>(`/api/tables/${id}`)
      .then(fetched => known.set(id, fetched))
      .catch(askAgain(() => asked.delete(id)))
      .finally(() => coming.value--)
    return undefined
  }
  const keep = (kept: DataTable) => known.set(kept.id, kept)
  /** A table that is read otherwise, or has another version on air, is asked for again. */
  function forget(id: string) {
    known.delete(id)
    asked.delete(id)
  }
  return { table, keep, forget, coming }
})
