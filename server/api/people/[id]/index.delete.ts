import { z } from 'zod'
import { readAs, refuse, requireAdmin } from '../../../access'
import { removePerson } from '../../../database/people'

/** Takes somebody off the team; their sessions end, what they made stays. */
export default defineEventHandler(async event => {
  await requireAdmin(event)
  const { id } = readAs(z.object({ id: z.uuid() }), getRouterParams(event))
  const came = await removePerson(id)
  if (came === 'last admin') return refuse(409, 'This is the only admin of the team. Make somebody else an admin first.')
  if (came === 'gone') return refuse(404, 'This person is not of the team any more.')
  return { ok: true }
})
