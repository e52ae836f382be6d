export interface TeamTable {
  id: string
  name: string
  /** Whether it is typed here, cell by cell. */
  typed: boolean
}

/** The tables that the team keeps, to choose one of: asked for when something first shows them. */
export function useTeamTables() {
  const list = shallowRef<readonly TeamTable[] | null>(null)
  onMounted(async () => {
    // Where they cannot be asked for, nothing is known of them: that is no list without tables.
    list.value = (await asking(() => $fetch<TeamTable[]>('/api/data'))) ?? null
  })
  return list
}
