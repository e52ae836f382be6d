import { requireViewer } from '../../../access'
import { usesOf } from '../../../tables/uses'
import { sourceAsked } from '../../../tables/sources'

/** Where a table is used: slides that draw it, screens that play it, and tables that are made of it by steps. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await usesOf((await sourceAsked(getRouterParam(event, 'id')!)).id)
})
