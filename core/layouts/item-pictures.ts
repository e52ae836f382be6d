import { elementsOf, plainText, setRecord, type Change, type Deck, type PictureElement } from '../model'
import { itemPlace, shownElements, type ShownElement } from '../resolved'
import type { Id } from '../values'
import { outlineOf } from './outline'

/** A picture's place on a slide that is still empty, and what its picture would be of. */
export interface PictureWanted {
  element: Id
  /** The words of its item, else of the slide: its title first. */
  words: string
  /** It is a portrait, of whoever is named in these words. */
  person: boolean
  /** Width over height. */
  shape: number
}

/** A picture that was found, with its own size in its pixels. */
export interface FoundPicture {
  hash: string
  width: number
  height: number
}

type Shown = PictureElement & ShownElement
/** Whether something is a place for a picture that somebody could fill: not a logo, and none of a row of a table. */
export const isPicturePlace = (element: ShownElement): element is Shown =>
  element.kind === 'picture' && !element.pinned && !element.hidden && !element.logo && !element.ofRows && !!element.placeholder

/** The words that a picture's place stands beside. */
function wordsBeside(deck: Deck, slide: Id, placeholder: string): string {
  const path = itemPlace(placeholder)?.path.join('-')
  if (path === undefined) {
    const { title, lines } = outlineOf(deck, deck.slides[slide]!)
    return [title, ...lines.map(({ text }) => text)].join('\n')
  }
  return elementsOf(deck, slide)
    .filter(other => other.placeholder === `item${path}-lead` || other.placeholder === `item${path}-text`)
    .sort((a, b) => (a.placeholder! < b.placeholder! ? -1 : 1))
    .map(other => (other.kind === 'text' ? plainText(other.text) : ''))
    .join('\n')
}

function wanted(deck: Deck, slide: Id, element: Shown): PictureWanted[] {
  const words = wordsBeside(deck, slide, element.placeholder!).trim()
  const { width, height } = element.box
  return words ? [{ element: element.id, words, person: !!element.instead, shape: width / Math.max(1, height) }] : []
}

/** The places of a slide that wait for a picture, back to front; those beside which nothing is said are left out. */
export const picturesWanted = (deck: Deck, slide: Id): PictureWanted[] =>
  deck.slides[slide] ? shownElements(deck, slide).flatMap(one => (isPicturePlace(one) && !one.media ? wanted(deck, slide, one) : [])) : []

/** What a picture that is proposed, or a place that is empty, would be of; null where the element is neither. */
export function pictureWanted(deck: Deck, element: Id): PictureWanted | null {
  const slide = deck.elements[element]?.owner
  const shown = slide && deck.slides[slide] ? shownElements(deck, slide).find(({ id }) => id === element) : undefined
  return (shown && isPicturePlace(shown) && (!shown.media || shown.proposed) && wanted(deck, slide!, shown)[0]) || null
}

/** Puts a picture into a place as a proposal, which stays one until somebody keeps it. */
export const proposePicture = (element: Id, { hash, width, height }: FoundPicture): Change =>
  setRecord('elements', element, { media: hash, natural: { width, height }, focus: undefined, view: undefined, proposed: true })

/**
 * Puts the pictures that were found into their places, as far as these are still empty: of each place the first that the deck does not
 * show yet.
 */
export function putPictures(deck: Deck, places: readonly PictureWanted[], found: readonly (readonly FoundPicture[])[]): Change[] {
  const shown = new Set(Object.values(deck.elements).flatMap(element => ('media' in element && element.media ? [element.media] : [])))
  return places.flatMap(({ element }, index) => {
    const now = deck.elements[element]
    const picture = found[index]?.find(({ hash }) => !shown.has(hash))
    if (!picture || now?.kind !== 'picture' || now.media) return []
    shown.add(picture.hash)
    return [proposePicture(element, picture)]
  })
}

/** The pictures of a slide that were proposed and that nobody has kept yet, back to front. */
export const proposedOn = (deck: Deck, slide: Id): readonly Shown[] =>
  shownElements(deck, slide).filter((one): one is Shown => one.kind === 'picture' && !!one.proposed && !!one.media && !one.pinned)

/** A proposed picture stays. */
export const keepPicture = (element: Id): Change => setRecord('elements', element, { proposed: undefined })
/** A proposed picture goes; its place is empty again. */
export const clearPicture = (element: Id): Change =>
  setRecord('elements', element, { media: undefined, natural: undefined, proposed: undefined })
