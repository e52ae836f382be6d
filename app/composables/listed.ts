import { watchDebounced } from '@vueuse/core'

/** What a list answers with: some of its items, and how many there are in all. */
interface Part<Item> {
  total: number
  items: Item[]
}

/**
 * A list that is long and fetched some at a time: anew whenever what is wished of it changes, on where one has come to its end. An answer
 * that another wish has overtaken is dropped; one that failed leaves what was there.
 */
export function useListed<Item, Answer extends Part<Item>>(wish: object, fetch: (from: number) => Promise<Answer>) {
  const items = shallowRef<Item[]>([])
  const answer = shallowRef<Answer | null>(null)
  const loading = ref(false)
  let turn = 0
  async function load(from = 0) {
    const mine = ++turn
    loading.value = true
    const came = await asking(() => fetch(from))
    if (mine !== turn) return
    loading.value = false
    if (!came) return
    items.value = from ? [...items.value, ...came.items] : came.items
    answer.value = came
  }
  watchDebounced(
    () => ({ ...wish }),
    () => void load(),
    { debounce: 160 },
  )
  const total = computed(() => answer.value?.total ?? 0)
  return {
    items,
    answer,
    total,
    loading,
    load,
    more: () => load(items.value.length),
    canLoadMore: () => !loading.value && items.value.length < total.value,
  }
}
