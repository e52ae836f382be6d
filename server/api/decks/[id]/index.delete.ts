import { requireEditor } from '../../../access'
import { removeDeck } from '../../../database/decks'

/** Takes a deck off the shelf; it can be brought back. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  await removeDeck(getRouterParam(event, 'id')!)
  return { ok: true }
})
