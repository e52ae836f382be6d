import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { addPerson } from '../../database/people'
import { hashOf } from '../../passwords'

const wish = z.object({ name: z.string().trim().min(1, 'A name is missing').max(120), email: z.email('That is no e-mail address'), password: z.string().min(10, 'A password has at least 10 letters').max(1000), role: z.enum(['editor', 'viewer']) })

export default defineEventHandler(async event => {
  await requireEditor(event)
  const { password, ...person } = readAs(wish, await readBody(event))
  return (await addPerson({ ...person, passwordHash: await hashOf(password) })) ?? refuse(409, `Somebody has the address ${person.email} already.`)
})
