import { refuse, requireViewer } from '../../../access'
import { deckExists } from '../../../database/decks'
import { currentDeck } from '../../../live/rooms'

/** A deck as it stands now, as plain JSON. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  return await currentDeck(id)
})
