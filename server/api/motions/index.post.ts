import { z } from 'zod'
import { cueClippingSchema } from '../../../core/timing'
import { idSchema } from '../../../core/values'
import { readAs, refuse, requireEditor } from '../../access'
import { keepMotion, motionExists } from '../../database/motions'
import { newId } from '../../new-id'

const input = z.object({ name: z.string().trim().min(1).max(120), motion: cueClippingSchema, replaces: idSchema.optional() })

/** Keeps motion under a name: a new one, or in place of one that is there. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name, motion, replaces } = readAs(input, await readBody(event))
  if (replaces && !(await motionExists(replaces))) return refuse(404, 'This motion is not there any more. Save it as a new one.')
  return await keepMotion({ id: replaces ?? newId(), name, motion }, person.id)
})
