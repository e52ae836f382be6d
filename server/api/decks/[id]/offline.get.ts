import { requireViewer } from '../../../access'
import { deckAs } from '../../../decks/attachment'
import { offlineFile } from '../../../decks/offline'

/** A deck as one page of HTML that plays by itself, without a server; with `variant`, as that shows it. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await deckAs(event, 'html', 'text/html; charset=utf-8', offlineFile)
})
