import type { DataTable } from '#core/data'

/** Tables by id, fetched when something first asks for them. One changes only where it is read otherwise in Data. */
export const useTables = defineStore('tables', () => {
  const known = shallowReactive(new Map<string, DataTable>())
  const asked = new Set<string>()
  /** Why a table could not be brought, until it is asked for again. */
  const lacking = shallowReactive(new Map<string, string>())
  /** How many are on their way: until they are here nothing can be said of the charts that read them. */
  const coming = ref(0)

  function table(id: string): DataTable | undefined {
    const found = known.get(id)
    // Whoever shows it asks again once it may be asked for again.
    if (found || lacking.has(id) || asked.has(id)) return found
    asked.add(id)
    coming.value++
    void $fetch<DataTable>(`/api/tables/${id}`)
      .then(fetched => known.set(id, fetched))
      .catch(error => {
        lacking.set(id, messageOf(error))
        return askAgain(() => forget(id))(error)
      })
      .finally(() => coming.value--)
    return undefined
  }
  const keep = (kept: DataTable) => known.set(kept.id, kept)
  /** A table that is read otherwise, or has another version on air, is asked for again. */
  function forget(id: string) {
    known.delete(id)
    asked.delete(id)
    lacking.delete(id)
  }
  return { table, keep, forget, coming, lacking: (id: string) => lacking.get(id) ?? '' }
})
