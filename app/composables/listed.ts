import { watchDebounced } from '@vueuse/core'

/** What a list answers with: some of its items, and how many there are in all. */
interface Part<Item> {
  total: number
  items: Item[]
}

/**
 * A list that is long and fetched some at a time: anew whenever what is wished of it changes, on where one has come to its end. An answer
 * that another filter has overtaken is dropped; one that failed leaves what was there.
 */
export function useListed<Item, Answer extends Part<Item>>(filter: object, fetch: (from: number) => Promise<Answer>) {
  const items = shallowRef<Item[]>([])
  const answer = shallowRef<Answer | null>(null)
  const loading = ref(false)
  let turn = 0
  /** Fetches from an item on, at least so many in all as there are of `least`. */
  async function load(from = 0, least = 1) {
    const mine = ++turn
    loading.value = true
    let shown = items.value.slice(0, from)
    let last: Answer | undefined
    let came: Answer | undefined
    do {
      came = await asking(() => fetch(shown.length))
      if (mine !== turn) return
      if (!came) break
      last = came
      shown = [...shown, ...came.items]
    } while (came.items.length && shown.length < Math.min(least, came.total))
    loading.value = false
    if (!last) return
    items.value = shown
    answer.value = last
  }
  watchDebounced(
    () => ({ ...filter }),
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
    /** What is here, as it is now: one who has come far down stays there. */
    again: () => load(0, items.value.length),
    more: () => load(items.value.length),
    canLoadMore: () => !loading.value && items.value.length < total.value,
  }
}
