import type { Deck } from '../../core/model'
import { tablesOf } from '../../core/formats/deck-file'
import { publish } from '../database/screens'
import { tablesById } from '../database/tables'
import { slideSecondsOf } from './lengths'

/** Makes an immutable version of a deck with the tables that it draws; answers with its number and its length as a loop, seconds. */
export async function publishDeck(id: string, deck: Deck, person: string) {
  const tables = await tablesById(tablesOf(deck))
  const seconds = (await slideSecondsOf(deck, tables, 'loop')).reduce((sum, slide) => sum + slide, 0)
  const number = await publish({ deck: id, snapshot: deck, tables, seconds, person })
  return { number, seconds }
}
