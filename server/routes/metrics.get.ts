import { refuse } from '../access'
import { connectedBrowsers, openDecks, registry } from '../measures'
import { countRooms } from '../live/rooms'

/**
 * What this process measures of itself: for whoever has the token of HAILBANK_METRICS_TOKEN, or, where none is set, for this very machine.
 */
export default defineEventHandler(async event => {
  const token = process.env.HAILBANK_METRICS_TOKEN
  const isHere =
    ['127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(getRequestIP(event) ?? '') && getHeader(event, 'x-forwarded-for') === undefined
  if (token ? getHeader(event, 'authorization') !== `Bearer ${token}` : !isHere)
    return refuse(401, 'Measurements are given to this machine alone, or by a token.')
  const { decks, browsers } = await countRooms()
  openDecks.set(decks)
  connectedBrowsers.set(browsers)
  setHeader(event, 'content-type', registry.contentType)
  return await registry.metrics()
})
