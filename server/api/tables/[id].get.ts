import { refuse, requireViewer } from '../../access'
import { tableById } from '../../database/tables'

/** A table of data, by its id; it never changes. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return (await tableById(getRouterParam(event, 'id')!)) ?? refuse(404, 'There is no such table.')
})
