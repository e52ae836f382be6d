import { requireViewer } from '../../../access'
import { deckAs } from '../../../decks/attachment'
import { deckFile } from '../../../decks/file'

/** A deck as a file of Hailbank’s own open format, with its tables and media; with `variant` (an id or name), as that shows it. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await deckAs(event, 'hailbank.zip', 'application/zip', deckFile)
})
