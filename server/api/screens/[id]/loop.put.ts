import { z } from 'zod'
import { idSchema } from '../../../../core/values'
import { readAs, refuse, requireEditor } from '../../../access'
import { loopExists, setScreenLoop } from '../../../database/screens'

/** Says which loop a screen plays. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const { loop } = readAs(z.object({ loop: idSchema.nullable() }), await readBody(event))
  if (loop !== null && !(await loopExists(loop))) refuse(404, 'There is no such loop.')
  if (!(await setScreenLoop(getRouterParam(event, 'id')!, loop))) refuse(404, 'There is no such screen.')
  return { ok: true }
})
