import { requireViewer } from '../../access'
import { nameDecks } from '../../database/decks'

/** All decks by name, changed last first, for those who choose one. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await nameDecks()
})
