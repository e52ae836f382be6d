import { requireViewer } from '../../../access'
import { sessionsOf } from '../../../database/sessions'

/** Where the person is signed in. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  return (await sessionsOf(person.id)).map(session => ({ ...session, here: session.id === person.session }))
})
