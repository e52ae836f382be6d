import { refuse, requireViewer } from '../../../access'
import { deckExists } from '../../../database/decks'
import { offlineFile } from '../../../decks/offline'
import { currentDeck } from '../../../live/rooms'

export default defineEventHandler(async event => {
  await requireViewer(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  const deck = await currentDeck(id)
  const name = deck.info.info!.title.replace(/[^\p{L}\p{N} -]/gu, '').trim() || 'deck'
  setHeader(event, 'content-type', 'text/html; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="deck.html"; filename*=UTF-8''${encodeURIComponent(name)}.html`)
  return await offlineFile(deck)
})
