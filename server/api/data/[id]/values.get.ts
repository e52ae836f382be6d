import { z } from 'zod'
import { readAs, requireViewer } from '../../../access'
import { versionOf } from '../../../database/sources'
import { columnValues } from '../../../database/tables'
import { sourceAsked } from '../../../tables/sources'

const query = z.object({ column: z.string().min(1).max(200) })
const most = 500

/** The values of a column in the version on air, each once, as they come; at most 500. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { column } = readAs(query, getQuery(event))
  const version = source.onAir === null ? undefined : await versionOf(source.id, source.onAir)
  return version ? await columnValues(version.tableId, column, most) : []
})
