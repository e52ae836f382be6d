import { requireViewer } from '../../../access'
import { jobsOfDeck } from '../../../database/jobs'

/** The films that were ordered of a deck, the newest first. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await jobsOfDeck(getRouterParam(event, 'id')!)
})
