import { watchDebounced } from '@vueuse/core'
import { contrastOf, contrastRemedies, type Contrast, type ContrastRemedy, type ContrastInput } from '#core/contrast'
import { setFields } from '#core/edits'
import type { Change, TextElement } from '#core/model'
import { slideOrStandIn, type ShownElement } from '#core/resolved'

/** How a text stands out from what is seen beneath it, as Check says it too, and what would help. */
export function useReadable(text: () => (TextElement & ShownElement) | null) {
  const store = useDeck()
  const where = useWhere()
  const stage = useStage()
  const host = useStageHost()
  const pixels = usePixels()
  const found = shallowRef<{ contrast: Contrast; remedies: ContrastRemedy[] } | null>(null)

  function measure() {
    const [element, deck, owner] = [text(), stage.deck, where.stageId]
    const slide = deck && owner ? slideOrStandIn(deck, owner) : undefined
    if (!element || !deck || !slide) {
      found.value = null
      return
    }
    const input: ContrastInput = {
      deck,
      slide,
      elements: stage.elements,
      element,
      size: stage.size,
      measurer: host.host.measurer,
      pixels: pixels.pixels,
    }
    const contrast = contrastOf(input)
    // While pixels are on their way, what was said before stays.
    if (contrast === undefined) return
    found.value =
      contrast && (contrast.onPicture || contrast.ratio < contrast.needed)
        ? { contrast, remedies: where.isForm ? [] : contrastRemedies(input) }
        : null
  }
  watchDebounced([text, () => stage.deck, () => where.stageId, () => host.host, () => pixels.version], measure, {
    debounce: 160,
    immediate: true,
  })

  /** What a remedy changes in the deck. */
  const changesOf = (remedy: ContrastRemedy): Change[] => [
    ...Object.entries(remedy.fields).flatMap(([id, fields]) => setFields(store.current, { table: 'elements', id, fields })),
    ...(remedy.slide && where.stageId && store.current.slides[where.stageId]
      ? setFields(store.current, { table: 'slides', id: where.stageId, fields: remedy.slide })
      : []),
  ]
  return { found, changesOf }
}
