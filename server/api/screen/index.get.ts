import { requireScreen } from '../../access'
import { noteGiven } from '../../database/screens'
import { manifestOf } from '../../screens/manifest'

/** For the screen itself: what to play, and the server's clock to play it by. */
export default defineEventHandler(async event => {
  const screen = await requireScreen(event)
  const manifest = await manifestOf(screen)
  await noteGiven(screen.id, manifest.items)
  return { ...manifest, now: Date.now() }
})
