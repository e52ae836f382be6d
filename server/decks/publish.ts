import { mediaOf, type Deck } from '../../core/deck'
import { tablesOf } from '../../core/formats/deck-file'
import { rundown, type TimingContext } from '../../core/timing'
import { publish } from '../database/screens'
import { tablesById } from '../database/tables'
import { mediaIfThere, mediaLengths } from '../database/media'
import { bringFaces, serverMeasurer } from '../measure/measurer'
import { serverInk } from './ink'
import { fontNeeds } from '../../core/themes'

/** Makes an immutable version of a deck with the tables that it draws; answers with its number and its length as a loop, seconds. */
export async function publishDeck(id: string, deck: Deck, person: string) {
  const tables = await tablesById(tablesOf(deck))
  await bringFaces(fontNeeds(deck).faces, mediaIfThere)
  const lengths = await mediaLengths(mediaOf(deck))
  const context: TimingContext = { measurer: serverMeasurer(), table: wanted => tables.find(table => table.id === wanted), mediaLength: hash => lengths[hash], ink: await serverInk(deck) }
  const seconds = rundown(deck, 'loop', context).length
  const number = await publish({ deck: id, snapshot: deck, tables, seconds, person })
  return { number, seconds }
}
