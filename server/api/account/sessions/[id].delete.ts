import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../../access'
import { endSession } from '../../../database/sessions'

/** Ends a session of one's own. Viewers may: it is theirs. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const { id } = readAs(z.object({ id: z.uuid() }), getRouterParams(event))
  if (!(await endSession(person.id, id))) return refuse(404, 'This session has ended already.')
  return { ok: true }
})
