import { z } from 'zod'
import { readingChoicesSchema } from '../../../../core/data'
import { readAs, refuse, requireEditor } from '../../../access'
import { changeSource, versionOf } from '../../../database/sources'
import { onAirChanged } from '../../../tables/made'
import { chooseReading, sourceAsked } from '../../../tables/sources'

const input = z.object({
  name: z.string().trim().min(1).max(200).optional(),
  /** How it is read, in place of all that was decided before. */
  choices: readingChoicesSchema.optional(),
  /** The version that decks show from now on. */
  onAir: z.number().int().min(1).optional(),
})

/** Gives a table another name, reads it otherwise, or puts another version on air. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { name, choices, onAir } = readAs(input, await readBody(event))
  if (onAir !== undefined && !(await versionOf(source.id, onAir))) return refuse(404, 'There is no such version of this table.')
  if (choices && source.steps) return refuse(409, 'This table is made by steps: how it is read is decided at the table that they work on.')
  if (choices) await chooseReading(source, choices, person.id)
  await changeSource(source.id, { ...(name === undefined ? {} : { name }), ...(onAir === undefined ? {} : { onAir }) })
  if (onAir !== undefined) await onAirChanged(source.id)
  return { ok: true }
})
