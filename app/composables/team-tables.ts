/** The tables that the team keeps, to choose one of: asked for when something first shows them. */
export function useTeamTables() {
  const list = shallowRef<readonly { id: string; name: string }[] | null>(null)
  onMounted(async () => {
    list.value = (await asking(() => $fetch<{ id: string; name: string }[]>('/api/data'))) ?? []
  })
  return list
}
