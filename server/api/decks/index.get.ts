import { requireViewer } from '../../access'
import { listDecks } from '../../database/decks'

export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listDecks()
})
