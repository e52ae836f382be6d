import { z } from 'zod'
import { readAs, refuse, requireAdmin } from '../../access'
import { addPerson, roles } from '../../database/people'
import { makePasswordLink } from '../../database/sessions'

const input = z.object({
  name: z.string().trim().min(1, 'A name is missing').max(120),
  email: z.email('That is no e-mail address').max(320),
  role: z.enum(roles),
})

/** Adds somebody to the team; answers with the link by which they set their password. */
export default defineEventHandler(async event => {
  const admin = await requireAdmin(event)
  const asked = readAs(input, await readBody(event))
  const person = (await addPerson({ ...asked, passwordHash: null })) ?? refuse(409, `Somebody has the address ${asked.email} already.`)
  return { person, link: `/password#${await makePasswordLink(person.id, admin.id)}` }
})
