import { requireViewer } from '../../access'
import { listLoops, loopItems } from '../../database/screens'

/** The loops that screens play, each with its decks in order. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const loops = await listLoops()
  return await Promise.all(loops.map(async loop => ({ ...loop, items: await loopItems(loop.id) })))
})
