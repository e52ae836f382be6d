import { applyChanges, infoOf } from '../../../../core/model'
import { setFields } from '../../../../core/edits'
import { refuse, requireEditor } from '../../../access'
import { deckExists, folderOf, moveToFolder } from '../../../database/decks'
import { makeDeck } from '../../../decks/make'
import { currentDeck } from '../../../live/rooms'
import { newId } from '../../../new-id'

/** Makes a second deck of a deck, in the same folder. Answers with its id. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const of = getRouterParam(event, 'id')!
  if (!(await deckExists(of))) refuse(404, 'There is no such deck.')
  const deck = await currentDeck(of)
  const id = newId()
  const title = `${infoOf(deck).title.slice(0, 290)}, copy`
  await makeDeck(id, applyChanges(deck, setFields(deck, { table: 'info', id: 'info', fields: { title } })), person.id)
  await moveToFolder(id, await folderOf(of))
  return { id, title }
})
