import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../../access'
import { apart } from '../../../apart'
import { versionOf } from '../../../database/sources'
import { tableById } from '../../../database/tables'
import { sendAs } from '../../../decks/attachment'
import { sourceAsked } from '../../../tables/sources'

const query = z.object({ as: z.enum(['csv', 'xlsx']), version: z.coerce.number().int().min(1).optional() })
const types = { csv: 'text/csv; charset=utf-8', xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet' }

/** A table as it was read, as CSV or as a workbook; without `version` the one on air. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { as, version } = readAs(query, getQuery(event))
  const number = version ?? source.onAir ?? 1
  const { tableId } = (await versionOf(source.id, number)) ?? refuse(404, 'There is no such version of this table.')
  const table = { ...(await tableById(tableId))!, name: source.name }
  return sendAs(event, source.name, as, types[as], await apart('written', { table, as }, { seconds: 60, what: 'This table' }))
})
