import { replaceMedia } from '../../core/edits'
import { slidesOf, type Deck } from '../../core/model'
import { decksWithMedia, mediaByHash } from '../database/media'
import type { PersonRole } from '../database/people'
import { UserError } from '../user-error'
import { currentDeck, keepAllRooms, roomOf } from '../live/rooms'

export interface MediaUse {
  deck: string
  title: string
  /** In how many places of the deck. */
  places: number
  /** Numbers of the slides that show it themselves. */
  slides: number[]
  /** Why another file was not put in its place there. */
  refused?: string
}

const noChange = '0'.repeat(64)

/** Where a deck shows a media file. */
function usesIn(deck: Deck, hash: string): { places: number; slides: number[] } {
  const changes = replaceMedia(deck, { from: hash, to: noChange, natural: null })
  const owners = new Set(
    changes.map(change =>
      change.table === 'elements' && change.do === 'set'
        ? deck.elements[change.id]!.owner
        : change.table === 'slides' && change.do === 'set'
          ? change.id
          : '',
    ),
  )
  return { places: changes.length, slides: slidesOf(deck).flatMap((slide, index) => (owners.has(slide.id) ? [index + 1] : [])) }
}

/** The decks that show a media file, as they stand now. */
export async function usesOf(hash: string): Promise<MediaUse[]> {
  await keepAllRooms()
  const made: MediaUse[] = []
  for (const { id, title } of await decksWithMedia(hash)) {
    const found = usesIn(await currentDeck(id), hash)
    if (found.places) made.push({ deck: id, title, ...found })
  }
  return made
}

/** Puts another file in its place in decks; answers with how many places of each were changed. */
export async function replaceIn(
  decks: readonly string[],
  from: string,
  to: string,
  person: { id: string; role: PersonRole },
): Promise<MediaUse[]> {
  const row = await mediaByHash(to)
  const natural = row?.width && row.height ? { width: row.width, height: row.height } : null
  const made: MediaUse[] = []
  for (const use of await usesOf(from)) {
    if (!decks.includes(use.deck)) continue
    const room = await roomOf(use.deck)
    const changes = replaceMedia(room.deck(), { from, to, natural })
    try {
      await room.apply(changes, person)
      made.push({ ...use, places: changes.length })
    } catch (error) {
      // What one deck does not take holds up no other.
      if (!(error instanceof UserError)) throw error
      made.push({ ...use, places: 0, refused: error.message })
    }
  }
  return made
}
