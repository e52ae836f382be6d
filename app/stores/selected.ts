/** Of a selection, others are shown so many at most. */
const mostShared = 200

/** What is selected of the slide in hand: elements in the order they were chosen in, and a cue. */
export const useSelected = defineStore('selected', () => {
  const store = useDeck()
  const where = useWhere()

  const elements = ref<string[]>([])
  const cueId = ref<string | null>(null)

  /** Selects elements in place of what was selected; none for none. */
  const select = (...ids: string[]) => {
    elements.value = ids
  }
  /** Takes an element into the selection, or out of it. */
  const toggle = (id: string) => {
    elements.value = elements.value.includes(id) ? elements.value.filter(one => one !== id) : [...elements.value, id]
  }

  watch(
    () => where.slideId,
    () => {
      elements.value = []
      cueId.value = null
    },
    { flush: 'sync' },
  )
  watch(
    () => store.deck,
    deck => {
      if (!deck || elements.value.some(id => !deck.elements[id])) elements.value = elements.value.filter(id => deck?.elements[id])
      if (cueId.value && !deck?.cues[cueId.value]) cueId.value = null
    },
    { flush: 'sync' },
  )
  watch(elements, chosen => store.share({ selection: chosen.slice(0, mostShared) }), { deep: true })

  return { elements, cueId, select, toggle }
})
