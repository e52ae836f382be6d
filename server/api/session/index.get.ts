import { requireViewer } from '../../access'

export default defineEventHandler(async event => {
  const { session: _, ...user } = await requireViewer(event)
  return { user }
})
