import { requireScreen } from '../../access'
import { manifestOf } from '../../screens/manifest'

/** For the screen itself: what to play, and the server's clock to play it by. */
export default defineEventHandler(async event => ({ ...(await manifestOf(await requireScreen(event))), now: Date.now() }))
