import { refuse, requireViewer } from '../../../access'
import { soundOf } from '../../../database/media'

/** How long a film or sound is, seconds, and how loud: 100 values a second, 0 to 255, in base64. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const sound = await soundOf(getRouterParam(event, 'hash')!)
  if (!sound) return refuse(404, 'There is no such film or sound.')
  setHeader(event, 'cache-control', 'private, max-age=86400')
  return { seconds: sound.seconds, peaks: sound.peaks && sound.peaks.toString('base64') }
})
