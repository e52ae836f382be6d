import { requireViewer } from '../../access'
import { mayEdit } from '../../database/people'
import { listScreens } from '../../database/screens'

/** The screens; their tokens, with which one can play what they play, for editors only. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const screens = await listScreens()
  return { now: new Date(), screens: screens.map(({ token, ...screen }) => ({ ...screen, token: mayEdit(person.role) ? token : null })) }
})
