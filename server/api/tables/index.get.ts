import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../access'
import { tableNamed } from '../../database/tables'

const input = z.object({ name: z.string().trim().min(1).max(300) })

/** The newest table of a name, whatever the case of its letters. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return (await tableNamed(readAs(input, getQuery(event)).name)) ?? refuse(404, 'There is no table of this name.')
})
