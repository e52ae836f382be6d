import { infoOf, type Deck } from '../../core/model'
import { apart } from '../apart'
import { insertDeck } from '../database/decks'
import type { Sql } from '../database/connection'

/** Puts a deck into the database as a live document of its own. */
export async function makeDeck(id: string, deck: Deck, person: string | null, sql?: Sql) {
  const { title, purpose } = infoOf(deck)
  await insertDeck({ id, title, purpose, person, ...(await apart('stored', deck, { seconds: 60, what: 'This deck' })) }, sql)
}
