import { refuse, requireViewer } from '../../../access'
import { linesOf } from '../../../media/lines'

/** The lines of a picture, for a hand to draw. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const lines = await linesOf(getRouterParam(event, 'hash')!)
  if (!lines) return refuse(404, 'There is no such picture in Media, or its lines could not be found just now.')
  setHeader(event, 'cache-control', 'private, max-age=86400')
  return lines
})
