import { z } from 'zod'
import { readAs, refuse } from '../../access'
import { takeTurn, countFailure } from '../../attempts'
import { setPassword } from '../../database/people'
import { personOfLink } from '../../database/sessions'
import { hashOf, passwordSchema } from '../../passwords'
import { addressOf, signIn } from '../../session'

const input = z.object({ token: z.string().max(100), password: passwordSchema.optional() })

/** Open to whoever bears a link: says whom it is for; with a password, sets that, ends the link and all sessions, and signs in. */
export default defineEventHandler(async event => {
  const { token, password } = readAs(input, await readBody(event))
  const address = addressOf(event)
  if (!(await takeTurn('by link', address)))
    return refuse(429, 'Too many attempts from this address are waiting. Wait a moment, then try again.')
  const person = await personOfLink(token)
  if (!person) {
    await countFailure('by link', address)
    return refuse(404, 'This link was used already, or has ended. Ask an admin of your team for a new one.')
  }
  if (password !== undefined) {
    await setPassword(person.id, await hashOf(password), null)
    await signIn(event, person.id)
  }
  return { name: person.name, email: person.email }
})
