import { iconsWanted, putIcons } from '#core/layouts'
import { infoOf, type DrawnIcon } from '#core/model'
import type { Id } from '#core/values'

/** As many slides are asked for at once, of each so many items, and of each so many letters: what an icon is about is said early. */
const [atOnce, mostItems, mostLetters] = [50, 60, 400]

/** Lets icon places that are still empty show what the words beside them speak of; one step, that one undo takes back. */
export function useFoundIcons() {
  const store = useDeck()
  return async function find(slides: readonly Id[]) {
    const { deck, id } = store
    const wanted = deck ? slides.map(slide => iconsWanted(deck, slide).slice(0, mostItems)).filter(list => list.length) : []
    if (!deck || !wanted.length) return
    const icons: (DrawnIcon | null)[] = []
    for (let from = 0; from < wanted.length; from += atOnce) {
      const texts = wanted.slice(from, from + atOnce).map(list => list.map(({ words }) => words.slice(0, mostLetters)))
      const found = await askingBeside(() =>
        $fetch<{ slides: (DrawnIcon | null)[][] }>('/api/icons/for', {
          method: 'POST',
          body: { slides: texts, language: infoOf(deck).language },
        }),
      )
      if (!found) break
      icons.push(...found.slides.flat())
    }
    if (store.id !== id || !store.deck) return
    const changes = putIcons(store.current, wanted.flat(), icons)
    if (changes.length) store.edit(changes.length === 1 ? 'find an icon' : `find ${numberWords(changes.length)} icons`, changes)
  }
}
