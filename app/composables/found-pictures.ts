import { infoOf, slidesOf, type Deck } from '#core/model'
import {
  clearAndClose,
  clearPicture,
  keepPicture,
  picturesWanted,
  pictureWanted,
  proposePicture,
  putPictures,
  titleOf,
  type FoundPicture,
  type PictureWanted,
} from '#core/layouts'
import type { Id } from '#core/values'

/** So many places are asked for at once, of each so many letters: what a picture is of is said early. */
const [atOnce, mostLetters] = [120, 1000]
/** Width over height of a place beside lines, roughly. */
const besideLines = 1.4

/** Pictures of the team that are found by the words beside their places: proposed there, kept, changed and cleared. */
export function useFoundPictures() {
  const store = useDeck()
  const where = useWhere()

  async function ask(places: readonly PictureWanted[], run = askingBeside): Promise<FoundPicture[][] | null> {
    const found: FoundPicture[][] = []
    for (let from = 0; from < places.length; from += atOnce) {
      const asked = places
        .slice(from, from + atOnce)
        .map(({ words, person, shape }) => ({ words: words.slice(0, mostLetters), person, shape }))
      const answer = await run(() =>
        $fetch<{ places: FoundPicture[][] }>('/api/pictures/for', {
          method: 'POST',
          body: { places: asked, language: infoOf(store.current).language },
        }),
      )
      if (!answer) return null
      found.push(...answer.places)
    }
    return found
  }

  /** Lets places of slides that are still empty propose what the words beside them speak of; one step, that one undo takes back. */
  async function find(slides: readonly Id[]) {
    const { deck, id } = store
    const places = deck ? slides.flatMap(slide => picturesWanted(deck, slide)) : []
    const found = places.length ? await ask(places) : null
    if (!found || store.id !== id || !store.deck) return
    const changes = putPictures(store.current, places, found)
    if (changes.length) store.edit(changes.length === 1 ? 'propose a picture' : `propose ${numberWords(changes.length)} pictures`, changes)
  }

  const told = { words: '', found: [] as FoundPicture[][] }
  /**
   * The pictures that there are of what slides’ titles say, best first; none where somebody may not ask. They are asked for anew once a
   * title has changed.
   */
  async function ofSlides(deck: Deck): Promise<ReadonlyMap<Id, readonly FoundPicture[]>> {
    const places = slidesOf(deck).flatMap((slide): PictureWanted[] => {
      const words = titleOf(deck, slide.id).trim()
      return words ? [{ element: slide.id, words, person: false, shape: besideLines }] : []
    })
    const words = JSON.stringify(places.map(place => place.words))
    if (store.canEdit && places.length && words !== told.words) {
      const found = await ask(places)
      if (found) Object.assign(told, { words, found })
    }
    return new Map(told.words === words ? places.map(({ element }, index) => [element, told.found[index] ?? []]) : [])
  }

  /** Proposes the next picture that is found for a place, going round. */
  async function another(element: Id) {
    const { deck, id } = store
    const place = deck && pictureWanted(deck, element)
    const found = place && (await ask([place], asking))
    const now = store.deck?.elements[element]
    if (!found || store.id !== id || now?.kind !== 'picture') return
    const [list] = found
    const next = list![(list!.findIndex(({ hash }) => hash === now.media) + 1) % list!.length]
    if (!next || next.hash === now.media)
      return void useToast().add({ title: 'No other picture in Media is called or filed by what is said here.', color: 'neutral' })
    store.edit('propose another picture', [proposePicture(element, next)])
  }
  const keep = (element: Id) => store.edit('keep the proposed picture', [keepPicture(element)])
  /** The picture goes, and so does its place where no other one stands there; on a form places stay. */
  function clear(element: Id) {
    const slide = store.current.elements[element]?.owner ?? ''
    const before = store.current.slides[slide]?.layout
    const changes = where.isForm ? [clearPicture(element)] : clearAndClose(store.current, { element }, store.context)
    store.edit('clear the proposed picture', changes)
    if (store.current.slides[slide]?.layout !== before) notify('Its place is closed up with it. Undo brings both back.')
  }
  return { find, ofSlides, another, keep, clear }
}
