import type { DataTable } from '#core/data'
import { expected } from '#core/values'

/** How often one asks which versions of tables are on air, ms, and of how many tables at once. */
const everyAsk = 3000
const mostAsked = 200

/**
 * Tables by id, fetched when something first asks for them. Those that the team keeps change where another version goes on air: that is
 * asked for every few seconds while the page is seen, and the rows that were there stay until the others are.
 */
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
  /** Asks which versions are on air, and brings those that are others than the ones that are here. */
  async function follow() {
    const ids = [...known.values()].filter(({ version }) => version !== undefined).map(({ id }) => id)
    if (!ids.length || document.hidden) return
    for (let from = 0; from < ids.length; from += mostAsked) {
      const query = { ids: ids.slice(from, from + mostAsked).join() }
      const aired = await $fetch<Record<string, string>>('/api/tables/on-air', { query })
      for (const [id, version] of Object.entries(aired))
        if (known.get(id)?.version !== version) known.set(id, await $fetch<DataTable>(`/api/tables/${id}`))
    }
  }
  /** Follows what is on air until it is told to stop; while the server does not answer, all stays as it is. */
  function followOnAir(): () => void {
    let asking = false
    const timer = setInterval(() => {
      if (asking) return
      asking = true
      void follow()
        .catch(expected('FetchError'))
        .finally(() => {
          asking = false
        })
    }, everyAsk)
    return () => clearInterval(timer)
  }
  return { table, keep, forget, coming, lacking: (id: string) => lacking.get(id) ?? '', follow, followOnAir }
})
