import { insertStory, type StorySlide } from '#core/stories'

/** Slides that were chosen under Data, until their deck has taken them. */
export const useStoryToPut = () => useState<{ deck: string; slides: readonly StorySlide[] } | null>('story to put', () => null)

/** Lets a deck take the slides that were chosen for it, after its last. */
export function useStoryIntake() {
  const store = useDeck()
  const where = useWhere()
  const chosen = useStoryToPut()
  watch(
    () => !!store.deck,
    arrived => {
      if (!arrived) return
      const own = chosen.value?.deck === store.id ? chosen.value : null
      chosen.value = null
      if (!own) return
      const after = store.slides.at(-1)?.id ?? null
      const changes = insertStory(store.current, { after, slides: own.slides }, store.context)
      store.edit(own.slides.length > 1 ? 'put a story' : 'put a chart', changes)
      const put = putSlide(changes)
      if (put) where.goToSlide(put)
    },
    { immediate: true },
  )
}
