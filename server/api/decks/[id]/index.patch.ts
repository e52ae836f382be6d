import { z } from 'zod'
import { cleanText } from '../../../../core/model'
import { setFields } from '../../../../core/edits'
import { readAs, refuse, requireEditor } from '../../../access'
import { deckExists, moveToFolder, renameInLists } from '../../../database/decks'
import { roomOf } from '../../../live/rooms'

const input = z.object({
  title: z.string().trim().min(1).max(300).optional(),
  /** Empty: in none. */
  folder: z.string().trim().max(120).optional(),
})

/** Renames a deck, or puts it into a folder of the team. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  const { title, folder } = readAs(input, await readBody(event))
  if (folder !== undefined) await moveToFolder(id, cleanText(folder))
  if (title !== undefined) {
    const room = await roomOf(id)
    await room.apply(setFields(room.deck(), { table: 'info', id: 'info', fields: { title: cleanText(title) } }), person)
    // Lists read the snapshot, which follows a moment later; who renamed it looks at once.
    await renameInLists(id, cleanText(title))
  }
  return { ok: true }
})
