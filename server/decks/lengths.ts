import { mediaOf, type Deck, type Purpose } from '../../core/model'
import type { DataTable } from '../../core/data'
import { tablesOf } from '../../core/formats/deck-file'
import { apart } from '../apart'
import { keepLengths, unmeasuredDecks } from '../database/decks'
import { mediaLengths } from '../database/media'
import { tablesById } from '../database/tables'
import { logError } from '../log'
import { UserError } from '../user-error'
import { facesOfDeck, tracedIn } from './ink'

/** How long each slide of a deck lasts with its transition, by the deck's purpose or another one, seconds. */
export const slideSecondsOf = async (deck: Deck, tables: readonly DataTable[], purpose?: Purpose) =>
  await apart(
    'slideSeconds',
    {
      deck,
      purpose,
      tables,
      lengths: await mediaLengths(mediaOf(deck)),
      faces: await facesOfDeck(deck),
      traced: await tracedIn(deck),
    },
    { seconds: 60, what: 'The timing of this deck' },
  )

/** Reckons the lengths that lists show, of decks that changed since, so many at most. */
export async function measureDecks(count = 8) {
  for (const { id, snapshot, at } of await unmeasuredDecks(count)) {
    const reckon = async () => await slideSecondsOf(snapshot, await tablesById(tablesOf(snapshot)))
    const seconds = await reckon().catch((error: unknown) => {
      // Too heavy, or something in it that timing stumbles over: it has no length until it changes, and the others get theirs.
      if (!(error instanceof UserError || error instanceof TypeError || error instanceof RangeError)) throw error
      logError(error, 'the lengths of a deck could not be reckoned', { deck: id })
      return null
    })
    await keepLengths(id, seconds, at)
  }
}
