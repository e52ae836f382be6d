/** A file of Media, as the server tells of it. */
export interface MediaEntry {
  hash: string
  name: string
  type: string
  bytes: number
  width: number | null
  height: number | null
  seconds: number | null
  folder: string
  tags: string[]
  rights: string
  credit: string
  colors: { hex: string; share: number }[]
  createdAt: string
  usedAt: string
  by: string | null
}
interface Answer {
  total: number
  items: MediaEntry[]
  groups: string[][]
  folders: { name: string; count: number }[]
  tags: { name: string; count: number }[]
}

export const mediaKind = (entry: { type: string }) =>
  entry.type.startsWith('video/') ? ('film' as const) : entry.type.startsWith('audio/') ? ('sound' as const) : ('picture' as const)
export const bytesWords = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${numberWords(bytes / 1_000_000, 1)} MB`

/** The team's media as they are asked for: by word, kind, folder, tag and colour, fetched some at a time. */
export function useMediaShelf(only?: 'picture' | 'film' | 'sound') {
  const filter = reactive({
    find: '',
    kind: only ?? ('' as '' | 'picture' | 'film' | 'sound'),
    folder: '',
    tag: '',
    color: '',
    alike: false,
  })
  const { items, answer, total, loading, load, more, canLoadMore } = useListed<MediaEntry, Answer>(filter, from =>
    $fetch<Answer>('/api/media', {
      query: {
        find: filter.find,
        from,
        count: 60,
        ...(filter.kind ? { kind: filter.kind } : {}),
        ...(filter.folder ? { folder: filter.folder } : {}),
        ...(filter.tag ? { tag: filter.tag } : {}),
        ...(filter.color ? { color: filter.color } : {}),
        ...(filter.alike ? { alike: '' } : {}),
      },
    }),
  )
  return {
    filter,
    items,
    groups: computed(() => answer.value?.groups ?? []),
    total,
    folders: computed(() => answer.value?.folders ?? []),
    tags: computed(() => answer.value?.tags ?? []),
    loading,
    load,
    more,
    canLoadMore: () => !filter.alike && canLoadMore(),
  }
}
