import { requireViewer } from '../../access'
import { listMotions } from '../../database/motions'

/** The team's named motions, by name. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listMotions()
})
