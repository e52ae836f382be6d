import { refuse, requireEditor } from '../../../access'
import { deckExists } from '../../../database/decks'
import { publishDeck } from '../../../decks/publish'
import { currentDeck } from '../../../live/rooms'

export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  return await publishDeck(id, await currentDeck(id), person.id)
})
