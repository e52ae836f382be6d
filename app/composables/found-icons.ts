import { iconQuestion, iconsWanted, putIcons } from '#core/layouts'
import type { DrawnIcon } from '#core/model'
import type { Id } from '#core/values'

/** Lets icon places that are still empty show what the words beside them speak of; one step, that one undo takes back. */
export function useFoundIcons() {
  const store = useDeck()
  return async function find(slides: readonly Id[]) {
    const deck = store.deck
    const wanted = deck ? slides.flatMap(slide => iconsWanted(deck, slide)) : []
    if (!deck || !wanted.length) return
    const found = await asking(() =>
      $fetch<{ icons: (DrawnIcon | null)[] }>('/api/icons/for', { method: 'POST', body: iconQuestion(deck, wanted) }),
    )
    if (!found || store.deck?.info.info?.id !== deck.info.info?.id) return
    const changes = putIcons(store.current, wanted, found.icons)
    if (changes.length) store.edit(changes.length === 1 ? 'find an icon' : `find ${changes.length} icons`, changes)
  }
}
