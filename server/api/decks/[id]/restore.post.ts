import { requireEditor } from '../../../access'
import { restoreDeck } from '../../../database/decks'

export default defineEventHandler(async event => {
  await requireEditor(event)
  await restoreDeck(getRouterParam(event, 'id')!)
  return { ok: true }
})
