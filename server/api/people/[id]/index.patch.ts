import { z } from 'zod'
import { readAs, refuse, requireAdmin } from '../../../access'
import { roles, setRole } from '../../../database/people'

/** Gives somebody another role; it holds at once, for what they have open too. */
export default defineEventHandler(async event => {
  await requireAdmin(event)
  const { id } = readAs(z.object({ id: z.uuid() }), getRouterParams(event))
  const came = await setRole(id, readAs(z.object({ role: z.enum(roles) }), await readBody(event)).role)
  if (came === 'last admin') return refuse(409, 'This is the only admin of the team. Make somebody else an admin first.')
  if (came === 'gone') return refuse(404, 'This person is not of the team any more.')
  return { ok: true }
})
