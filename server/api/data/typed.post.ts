import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { gridSchema, makeTyped } from '../../tables/typed'

const input = z.object({ name: z.string().trim().min(1).max(200), grid: gridSchema })

/** Keeps a grid that was typed by hand as a table of the team. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name, grid } = readAs(input, await readBody(event))
  return await makeTyped(name, grid, person.id)
})
