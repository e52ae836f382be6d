import { z } from 'zod'
import { readAs, refuse, requireAdmin } from '../../../access'
import { personById } from '../../../database/people'
import { makePasswordLink } from '../../../database/sessions'

/** Makes a link by which somebody sets a new password, once; their old one holds until then. */
export default defineEventHandler(async event => {
  const admin = await requireAdmin(event)
  const { id } = readAs(z.object({ id: z.uuid() }), getRouterParams(event))
  if (!(await personById(id))) return refuse(404, 'This person is not of the team any more.')
  return { link: `/password#${await makePasswordLink(id, admin.id)}` }
})
