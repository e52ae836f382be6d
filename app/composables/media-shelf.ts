import { watchDebounced } from '@vueuse/core'

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
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`

/** The team's media as they are asked for: by word, kind, folder, tag and colour, fetched some at a time. */
export function useMediaShelf(only?: 'picture' | 'film' | 'sound') {
  const wish = reactive({ find: '', kind: only ?? ('' as '' | 'picture' | 'film' | 'sound'), folder: '', tag: '', color: '', alike: false })
  const items = shallowRef<MediaEntry[]>([])
  const groups = shallowRef<string[][]>([])
  const total = ref(0)
  const folders = shallowRef<{ name: string; count: number }[]>([])
  const tags = shallowRef<{ name: string; count: number }[]>([])
  const loading = ref(false)
  let turn = 0
  async function load(from = 0) {
    const mine = ++turn
    loading.value = true
    const query = {
      find: wish.find,
      from,
      count: 60,
      ...(wish.kind ? { kind: wish.kind } : {}),
      ...(wish.folder ? { folder: wish.folder } : {}),
      ...(wish.tag ? { tag: wish.tag } : {}),
      ...(wish.color ? { color: wish.color } : {}),
      ...(wish.alike ? { alike: '' } : {}),
    }
    const answer = await asking(() => $fetch<Answer>('/api/media', { query }))
    if (mine !== turn) return
    loading.value = false
    if (!answer) return
    items.value = from ? [...items.value, ...answer.items] : answer.items
    total.value = answer.total
    groups.value = answer.groups
    folders.value = answer.folders
    tags.value = answer.tags
  }
  watchDebounced(wish, () => void load(), { debounce: 160, deep: true })
  const more = () => load(items.value.length)
  const canLoadMore = () => !loading.value && !wish.alike && items.value.length < total.value
  return { wish, items, groups, total, folders, tags, loading, load, more, canLoadMore }
}
