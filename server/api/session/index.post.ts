import { RateLimiterMemory } from 'rate-limiter-flexible'
import { z } from 'zod'
import { readAs, refuse } from '../../access'
import { personByEmail } from '../../database/people'
import { hashOf, isPassword } from '../../passwords'

const wish = z.union([z.object({ email: z.string().max(320), password: z.string().max(1000) }), z.object({ demo: z.string().max(320) })])
const attempts = new RateLimiterMemory({ points: 10, duration: 60 })
/** Verified against when the address is unknown, so that the answer takes as long. */
const nobody = hashOf('nobody’s')

/** Signs in. Open to all; ten failed attempts a minute for an address. */
export default defineEventHandler(async event => {
  const asked = readAs(wish, await readBody(event))
  const email = 'demo' in asked ? asked.demo : asked.email
  await attempts.consume(email.toLowerCase()).catch(() => refuse(429, 'Too many attempts for this address. Wait a minute, then try again.'))
  const person = await personByEmail(email)
  if ('demo' in asked) {
    if (process.env.HAILBANK_DEMO !== '1' || !person?.email.endsWith('@velmoor.example')) refuse(403, 'This is not the demo. Sign in with your address and password.')
  } else {
    const valid = await isPassword(asked.password, person?.password_hash ?? (await nobody))
    if (!person || !valid) refuse(401, 'Address and password do not go together. Check both, then try again.')
  }
  await attempts.delete(email.toLowerCase())
  const { id, name, email: address, role } = person!
  await setUserSession(event, { user: { id, name, email: address, role } })
  return { user: { id, name, email: address, role } }
})
