import { refuse } from '../access'
import { isOwnOrigin } from '../origin'

/**
 * Requests that change something come from pages of this very server, or from programs; never from pages of others, nor from such as have
 * no origin.
 */
export default defineEventHandler(event => {
  if (['GET', 'HEAD', 'OPTIONS'].includes(event.method)) return
  const origin = getHeader(event, 'origin')
  if (origin !== undefined && !isOwnOrigin(origin, getHeader(event, 'host')))
    refuse(403, 'This came from a page of another address, so it was not done.')
  if (getHeader(event, 'sec-fetch-site') === 'cross-site') refuse(403, 'This came from a page of another address, so it was not done.')
})
