import { requireViewer } from '../../access'
import { listLoops, loopItems } from '../../database/screens'

export default defineEventHandler(async event => {
  await requireViewer(event)
  const loops = await listLoops()
  return await Promise.all(loops.map(async loop => ({ ...loop, items: await loopItems(loop.id) })))
})
