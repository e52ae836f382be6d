import { z } from 'zod'
import { idSchema } from '../../../core/values'
import { readAs, requireViewer } from '../../access'
import { airedVersions } from '../../database/tables'

const input = z.object({
  ids: z
    .string()
    .max(20_000)
    .transform(words => words.split(','))
    .pipe(z.array(idSchema).max(200)),
})

/** Which version of tables is on air, by their ids (with commas between them, at most 200); those that never change are not in it. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await airedVersions(readAs(input, getQuery(event)).ids)
})
