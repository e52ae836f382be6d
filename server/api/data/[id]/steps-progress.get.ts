import { requireViewer } from '../../../access'
import { stepsUnderWay } from '../../../steps'
import { sourceAsked } from '../../../tables/sources'

/** How far the steps of a table are that are being done just now: the step, and rows looked at of all; null where none are. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return { progress: stepsUnderWay((await sourceAsked(getRouterParam(event, 'id')!)).id) }
})
