import { z } from 'zod'
import { readAs, requireEditor } from '../../../access'
import { sourceAsked } from '../../../tables/sources'
import { gridSchema, writeTyped } from '../../../tables/typed'

/** `stamp` is what was known of the table that was changed. */
const input = z.object({ grid: gridSchema, stamp: z.string().max(64) })

/** Keeps what was typed into a table; answers with its new stamp, and why it is held where it would break what draws the table. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { grid, stamp } = readAs(input, await readBody(event))
  return await writeTyped(source, grid, stamp, person.id)
})
