import { z } from 'zod'
import { stepsSchema } from '../../../../core/steps'
import { leftSignal, readAs, refuse, requireEditor } from '../../../access'
import { changeSteps } from '../../../tables/made'
import { sourceAsked } from '../../../tables/sources'

/** `before` are the steps that were changed. */
const input = z.object({ steps: stepsSchema, before: stepsSchema, at: z.number().int().min(0).optional() })

/** Gives a table that is made by steps other ones; answers with rows and columns after each, and rows before and after the one `at`. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  if (!source.steps) return refuse(409, 'This table is read from files. Make another one of it by steps.')
  const { rows, runs, look } = await changeSteps(source, readAs(input, await readBody(event)), person.id, leftSignal(event))
  return { rows, runs, look }
})
