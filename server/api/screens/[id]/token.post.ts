import { refuse, requireEditor } from '../../../access'
import { setScreenToken } from '../../../database/screens'
import { newToken } from '../../../new-id'

/** Gives a screen a new address; the old one opens nothing from then on. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const token = newToken()
  if (!(await setScreenToken(getRouterParam(event, 'id')!, token))) return refuse(404, 'There is no such screen.')
  return { token }
})
