import { requireEditor } from '../../access'
import { dropMotion } from '../../database/motions'

/** Removes a named motion. What moves so in decks goes on doing it. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  await dropMotion(getRouterParam(event, 'id')!)
  return { ok: true }
})
