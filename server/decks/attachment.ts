import { infoOf, type Deck } from '../../core/model'
import type { H3Event } from 'h3'
import { onlyVariant, variantNamed } from '../../core/resolved'
import { refuse } from '../access'
import { deckExists } from '../database/decks'
import { currentDeck } from '../live/rooms'

/** Answers with a deck as it stands now, made into a file that is saved under the deck's title and an ending. */
export async function deckAs(event: H3Event, ending: string, type: string, make: (deck: Deck) => Promise<Uint8Array | string>) {
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  const deck = await currentDeck(id)
  const variant = variantOf(event, deck)
  return sendAs(
    event,
    [infoOf(deck).title, variant?.name].filter(Boolean).join(' '),
    ending,
    type,
    await make(variant ? onlyVariant(deck, variant.id) : deck),
  )
}

/** The variant that a request asks for, by its id or name; undefined for the deck as it is in general. One that is not there is said so. */
export function variantOf(event: H3Event, deck: Deck) {
  const asked = getQuery(event).variant
  if (asked === undefined || asked === '') return undefined
  return variantNamed(deck, String(asked)) ?? refuse(404, `This deck has no variant “${String(asked).slice(0, 120)}”.`)
}

/** Says that what is answered is a file to be saved under a title and an ending. */
export function attach(event: H3Event, title: string, ending: string, type: string) {
  const name = title.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'deck'
  setHeader(event, 'content-type', type)
  setHeader(
    event,
    'content-disposition',
    `attachment; filename="deck.${ending.split('.').at(-1)}"; filename*=UTF-8''${encodeURIComponent(name)}.${ending}`,
  )
}

/** Answers with a file that is saved under a title and an ending. */
export function sendAs(event: H3Event, title: string, ending: string, type: string, made: Uint8Array | string) {
  attach(event, title, ending, type)
  return typeof made === 'string' ? made : Buffer.from(made)
}
