import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { makeFollowing } from '../../tables/services'

const input = z.object({ address: z.string().trim().min(1).max(2000) })

/** Makes a table of what a service answers with at an address, and has it follow that; only services that the server may ask. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  return await makeFollowing(readAs(input, await readBody(event)).address, person.id)
})
