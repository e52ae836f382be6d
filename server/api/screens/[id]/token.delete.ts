import { refuse, requireEditor } from '../../../access'
import { setScreenToken } from '../../../database/screens'

/** Takes a screen's address back: it plays on from its own copy, but gets nothing new and is not heard any more. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  if (!(await setScreenToken(getRouterParam(event, 'id')!, null))) return refuse(404, 'There is no such screen.')
  return { ok: true }
})
