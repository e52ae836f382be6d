import { requireViewer } from '../../../access'
import { sourceAsked } from '../../../tables/sources'
import { gridOf } from '../../../tables/typed'

/** What was typed into a table, cell by cell as it was written, and the stamp that it is known again by. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await gridOf(await sourceAsked(getRouterParam(event, 'id')!))
})
