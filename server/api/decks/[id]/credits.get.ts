import { mediaOf } from '../../../../core/model'
import { refuse, requireViewer } from '../../../access'
import { deckExists } from '../../../database/decks'
import { mediaItem } from '../../../database/media'
import { currentDeck } from '../../../live/rooms'

/** The credit lines of all that a deck shows, each once, in the order of their letters. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) return refuse(404, 'There is no such deck.')
  const lines = new Set<string>()
  for (const hash of mediaOf(await currentDeck(id))) {
    const item = await mediaItem(hash)
    if (item?.credit) lines.add(item.credit)
  }
  return [...lines].sort((a, b) => a.localeCompare(b))
})
