import { requireEditor } from '../../../access'
import { dropSource } from '../../../database/sources'
import { sourceAsked } from '../../../tables/sources'

/** Removes a table with all of its versions. Charts that show it have nothing to draw then. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const { id } = await sourceAsked(getRouterParam(event, 'id')!)
  await dropSource(id)
  return { ok: true }
})
