import { z } from 'zod'
import { readAs, refuse } from '../../access'
import { countFailure, forgetFailures, takeTurn } from '../../attempts'
import { normalEmail, personByEmail } from '../../database/people'
import { hashOf, isPassword } from '../../passwords'
import { addressOf, signIn } from '../../session'

const input = z.union([z.object({ email: z.string().max(320), password: z.string().max(1000) }), z.object({ demo: z.string().max(320) })])
/** Verified against when the address is unknown or has no password yet, so that the answer takes as long. */
const nobody = hashOf('nobody’s')

/** Signs in. Open to all; failed attempts slow down what follows them, for the account and for the address that they come from. */
export default defineEventHandler(async event => {
  const asked = readAs(input, await readBody(event))
  const email = normalEmail('demo' in asked ? asked.demo : asked.email)
  const person = await personByEmail(email)
  if ('demo' in asked) {
    if (process.env.HAILBANK_DEMO !== '1' || !person?.email.endsWith('@velmoor.example'))
      return refuse(403, 'This is not the demo. Sign in with your address and password.')
  } else {
    const address = addressOf(event)
    if (!(await takeTurn(email, address)))
      return refuse(429, 'Too many attempts from this address are waiting. Wait a moment, then try again.')
    const valid = await isPassword(asked.password, person?.password_hash ?? (await nobody))
    if (!person?.password_hash || !valid) {
      await countFailure(email, address)
      return refuse(401, 'Address and password do not go together. Check both, then try again.')
    }
    await forgetFailures(email)
  }
  await signIn(event, person.id)
  const { id, name, email: known, role } = person
  return { user: { id, name, email: known, role } }
})
