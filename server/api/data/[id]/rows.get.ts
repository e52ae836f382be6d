import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../../access'
import { versionOf } from '../../../database/sources'
import { tableRows } from '../../../database/tables'
import { sourceAsked } from '../../../tables/sources'

const query = z.object({
  version: z.coerce.number().int().min(1),
  from: z.coerce.number().int().min(0).default(0),
  count: z.coerce.number().int().min(1).max(500).default(200),
})

/** Some rows of a version as it was read, column by column. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { version, from, count } = readAs(query, getQuery(event))
  const { tableId } = (await versionOf(source.id, version)) ?? refuse(404, 'There is no such version of this table.')
  return { from, columns: await tableRows(tableId, from, count) }
})
