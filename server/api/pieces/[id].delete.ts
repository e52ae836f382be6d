import { requireEditor } from '../../access'
import { dropPiece } from '../../database/pieces'

/** Takes a piece off the shelf. Slides keep what they show of it. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  await dropPiece(getRouterParam(event, 'id')!)
  return { ok: true }
})
