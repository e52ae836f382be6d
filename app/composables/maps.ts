import type { DataTable } from '#core/data'

interface KnownMap {
  id: string
  label: string
  own: boolean
}

const list = shallowRef<readonly KnownMap[]>([])
let asked = 0

/** Maps that charts can be drawn on. Which there are is asked for again by whoever comes later than a few seconds. */
export function useMaps() {
  const tables = useTables()
  if (Date.now() - asked > 5000) {
    asked = Date.now()
    void $fetch<KnownMap[]>('/api/maps')
      .then(found => (list.value = found))
      .catch(askAgain(() => (asked = 0)))
  }
  /** The team's own, with their outlines, as far as they are here. */
  const own = computed(() =>
    list.value
      .filter(map => map.own)
      .flatMap((map): DataTable[] => {
        const table = tables.table(map.id)
        return table ? [table] : []
      }),
  )
  return { list, own }
}
