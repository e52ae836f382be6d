import { requireViewer } from '../../access'
import { listPeople } from '../../database/people'

/** Who is of the team. When somebody was last here, and whether they can sign in yet, is for admins. */
export default defineEventHandler(async event => {
  const { role } = await requireViewer(event)
  return (await listPeople()).map(({ signs_in, seen_at, ...person }) =>
    role === 'admin' ? { ...person, signsIn: signs_in, seenAt: seen_at } : person,
  )
})
