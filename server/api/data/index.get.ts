import { requireViewer } from '../../access'
import { listSources } from '../../database/sources'

/** The team's tables by name: where each comes from, when it last came, and how much of it waits for an answer. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listSources()
})
