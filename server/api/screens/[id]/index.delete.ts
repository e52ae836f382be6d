import { refuse, requireEditor } from '../../../access'
import { removeScreen } from '../../../database/screens'

/** Takes a screen off the list, with what it reported. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  if (!(await removeScreen(getRouterParam(event, 'id')!))) return refuse(404, 'There is no such screen.')
  return { ok: true }
})
