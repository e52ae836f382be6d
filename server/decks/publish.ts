import { mediaOf, type Deck } from '../../core/model'
import { tablesOf } from '../../core/formats/deck-file'
import { apart } from '../apart'
import { mediaLengths } from '../database/media'
import { publish } from '../database/screens'
import { tablesById } from '../database/tables'
import { facesOfDeck, tracedIn } from './ink'

/** Makes an immutable version of a deck with the tables that it draws; answers with its number and its length as a loop, seconds. */
export async function publishDeck(id: string, deck: Deck, person: string) {
  const [tables, lengths] = [await tablesById(tablesOf(deck)), await mediaLengths(mediaOf(deck))]
  const seconds = await apart(
    'loopSeconds',
    { deck, tables, lengths, faces: await facesOfDeck(deck), traced: await tracedIn(deck) },
    { seconds: 60, what: 'The timing of this deck' },
  )
  const number = await publish({ deck: id, snapshot: deck, tables, seconds, person })
  return { number, seconds }
}
