import * as Y from 'yjs'
import type { Deck } from '../../core/deck'
import { fillDocument } from '../../core/live'
import { insertDeck } from '../database/decks'
import type { Sql } from '../database/connection'

/** Puts a deck into the database as a live document of its own. */
export async function makeDeck(id: string, deck: Deck, person: string | null, sql?: Sql) {
  const document = new Y.Doc()
  fillDocument(document, deck)
  await insertDeck({ id, snapshot: deck, update: Y.encodeStateAsUpdate(document), person }, sql)
  document.destroy()
}
