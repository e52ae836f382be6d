import { onlyVariant } from '../../../../core/resolved'
import { refuse, requireEditor } from '../../../access'
import { deckExists } from '../../../database/decks'
import { variantOf } from '../../../decks/attachment'
import { publishDeck } from '../../../decks/publish'
import { currentDeck } from '../../../live/rooms'

/** Publishes a deck as it stands now, for screens; with `variant`, as that shows it. Answers with the number of its version. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  const deck = await currentDeck(id)
  const variant = variantOf(event, deck)
  return await publishDeck(id, variant ? onlyVariant(deck, variant.id) : deck, person.id)
})
