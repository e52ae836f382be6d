import { z } from 'zod'
import { stepsSchema } from '../../../../core/steps'
import { readAs, refuse, requireEditor } from '../../../access'
import { makeBySteps } from '../../../tables/made'
import { sourceAsked } from '../../../tables/sources'

const input = z.object({ name: z.string().trim().min(1).max(200), steps: stepsSchema.default([]) })

/** Makes another table of a table by steps; of one that has steps itself, a copy with steps of its own on the same table. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { name, steps } = readAs(input, await readBody(event))
  const parent = source.steps ? source.madeOf : source.id
  if (parent === null) return refuse(409, 'The table that these steps work on is gone: they cannot be done again.')
  const of = await sourceAsked(parent)
  return await makeBySteps(of, name, source.steps && !steps.length ? source.steps : steps, person.id)
})
