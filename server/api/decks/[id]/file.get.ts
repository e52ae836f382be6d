import { requireViewer } from '../../../access'
import { deckAs } from '../../../decks/attachment'
import { deckFile } from '../../../decks/file'

export default defineEventHandler(async event => {
  await requireViewer(event)
  return await deckAs(event, 'hailbank.zip', 'application/zip', deckFile)
})
