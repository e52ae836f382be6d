import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../../access'
import { versionOf } from '../../../database/sources'
import { tableHead, tableRows } from '../../../database/tables'
import { rowsInOrder } from '../../../steps'
import { sourceAsked } from '../../../tables/sources'

const query = z.object({
  version: z.coerce.number().int().min(1),
  from: z.coerce.number().int().min(0).default(0),
  count: z.coerce.number().int().min(1).max(500).default(200),
  by: z.coerce.number().int().min(0).optional(),
  way: z.enum(['up', 'down']).default('up'),
})

/**
 * Some rows of a version as it was read, column by column; in the order of the values of the column `by` (its place, from 0) with `rows`,
 * which row of the table each of them is, from 0.
 */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { version, from, count, by, way } = readAs(query, getQuery(event))
  const { tableId } = (await versionOf(source.id, version)) ?? refuse(404, 'There is no such version of this table.')
  if (by === undefined) return { from, columns: await tableRows(tableId, from, count) }
  const columns = (await tableHead(tableId))?.columns ?? []
  if (by >= columns.length) refuse(400, `by: this table has ${columns.length} columns, the first is 0.`)
  return { from, ...(await rowsInOrder({ version: tableId, columns, by, way, from, count })) }
})
