import { requireViewer } from '../../../access'
import { deckAs } from '../../../decks/attachment'
import { offlineFile } from '../../../decks/offline'

export default defineEventHandler(async event => {
  await requireViewer(event)
  return await deckAs(event, 'html', 'text/html; charset=utf-8', offlineFile)
})
