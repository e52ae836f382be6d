import { requireViewer } from '../../access'
import { listDecks } from '../../database/decks'

/** The decks of the team, changed last first, each with what its card shows. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listDecks()
})
