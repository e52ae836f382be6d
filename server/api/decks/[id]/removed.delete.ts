import { refuse, requireEditor } from '../../../access'
import { deleteRemoved, makerOf } from '../../../database/decks'

/** Deletes a removed deck for good, with all that was ever written in it. For who made it, and admins. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  if (person.role !== 'admin' && (await makerOf(id)) !== person.id)
    return refuse(403, 'Only who made a deck, or an admin, deletes it for good. Others can restore it.')
  if (!(await deleteRemoved(id))) return refuse(404, 'There is no such deck in the trash.')
  return { ok: true }
})
