import { requireViewer } from '../../access'
import { listSources } from '../../database/sources'
import { watchedFolder } from '../../tables/watched'

/** The team's tables by name: where each comes from, when it last came, and how much of it waits for an answer. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const list = await listSources()
  // A folder that is watched no more is followed by none.
  return watchedFolder() ? list : list.map(entry => ({ ...entry, file: null, fault: entry.address !== null && entry.fault }))
})
