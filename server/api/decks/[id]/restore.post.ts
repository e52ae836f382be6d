import { requireEditor } from '../../../access'
import { restoreDeck } from '../../../database/decks'

/** Brings a removed deck back. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  await restoreDeck(getRouterParam(event, 'id')!)
  return { ok: true }
})
