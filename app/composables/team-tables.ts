/** The tables that the team keeps, to choose one of: asked for when something first shows them. */
export function useTeamTables() {
  const list = shallowRef<readonly { id: string; name: string }[] | null>(null)
  onMounted(async () => {
    // Where they cannot be asked for, nothing is known of them: that is no list without tables.
    list.value = (await asking(() => $fetch<{ id: string; name: string }[]>('/api/data'))) ?? null
  })
  return list
}
