import { z } from 'zod'
import { leftSignal, readAs, requireViewer } from '../../../access'
import { runSteps } from '../../../steps'
import { beginningOf } from '../../../tables/made'
import { sourceAsked } from '../../../tables/sources'

const query = z.object({ at: z.coerce.number().int().min(0).optional() })

/**
 * What the steps of a table do: the columns that they begin with, the tables that they may join, rows and columns after each, and rows
 * before and after the one `at` that place, of the last where nothing is said. A table that is read from files has none: it is what a list
 * would begin with.
 */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { at = Math.max(0, (source.steps?.length ?? 0) - 1) } = readAs(query, getQuery(event))
  const from = await beginningOf(source.steps ? source : { id: '', madeOf: source.id })
  const { rows, runs, look } = await runSteps(from, source.steps ?? [], {
    for: source.id,
    stop: leftSignal(event),
    at,
  })
  const { id, columns, others } = from
  return { from: id, columns, rows, tables: others.map(({ version: _, ...other }) => other), steps: source.steps ?? [], runs, look }
})
