import { z } from 'zod'
import { clippingSchema } from '../../../core/edits'
import { idSchema } from '../../../core/values'
import { readAs, refuse, requireEditor } from '../../access'
import { keepPiece, piecesById } from '../../database/pieces'
import { newId } from '../../new-id'

const input = z.object({
  name: z.string().trim().min(1).max(120),
  tags: z.array(z.string().trim().min(1).max(60)).max(40).default([]),
  content: clippingSchema,
  replaces: idSchema.optional(),
})

/** Keeps parts as a piece of the shelf: a new one, or the next version of one that is there. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name, tags, content, replaces } = readAs(input, await readBody(event))
  if (replaces && !(await piecesById([replaces])).length)
    return refuse(404, 'This block is not in the library any more. Save it as a new one.')
  return await keepPiece({ id: replaces ?? newId(), name, tags, content }, person.id)
})
