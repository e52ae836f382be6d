import { addChartSlide } from '#core/layouts'
import type { ChartSpec } from '#core/model'

/** A chart that was chosen under Data, with its headline, until its deck has taken it. */
export const useChartToPut = () => useState<{ deck: string; title: string; chart: ChartSpec } | null>('chart to put', () => null)

/** Lets a deck take the chart that was chosen for it, as a slide after its last. */
export function useChartIntake() {
  const store = useDeck()
  const where = useWhere()
  const chosen = useChartToPut()
  watch(
    () => !!store.deck,
    arrived => {
      if (!arrived) return
      const own = chosen.value?.deck === store.id ? chosen.value : null
      chosen.value = null
      if (!own) return
      const after = store.slides.at(-1)?.id ?? null
      const changes = addChartSlide(store.current, { after, title: own.title, chart: own.chart }, store.context)
      store.edit('put a chart', changes)
      const put = putSlide(changes)
      if (put) where.goToSlide(put)
    },
    { immediate: true },
  )
}
