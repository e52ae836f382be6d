import { z } from 'zod'
import { readAs, requireViewer } from '../../../access'
import { sourceAsked } from '../../../tables/sources'
import { tableById } from '../../../database/tables'

const query = z.object({ column: z.string().min(1).max(200) })
const most = 500

/** The values of a column of words or moments in the version on air, each once, as they come; at most 500. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { column } = readAs(query, getQuery(event))
  const table = await tableById(source.id)
  const values = new Set<string>()
  for (const value of table?.columns.find(({ name }) => name === column)?.values ?? []) {
    if (values.size >= most) break
    if (value !== null) values.add(String(value))
  }
  return [...values]
})
