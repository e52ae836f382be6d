import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { addLoop } from '../../database/screens'
import { newId } from '../../new-id'

/** Adds a loop. Answers with its id. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const { name } = readAs(z.object({ name: z.string().trim().min(1).max(120) }), await readBody(event))
  const id = newId()
  await addLoop(id, name)
  return { id }
})
