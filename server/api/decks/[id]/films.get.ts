import { requireViewer } from '../../../access'
import { jobsOfDeck, workersHeard } from '../../../database/jobs'

/** The films that were ordered of a deck, the newest first, and how many workers there are to make them. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return { films: await jobsOfDeck(getRouterParam(event, 'id')!), workers: await workersHeard() }
})
