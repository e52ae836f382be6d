import { requireViewer } from '../../access'

/** Who is signed in. */
export default defineEventHandler(async event => {
  const { session: _, ...user } = await requireViewer(event)
  return { user }
})
