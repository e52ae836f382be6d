import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../access'
import { countFailure, takeTurn } from '../../attempts'
import { passwordHashOf, setPassword } from '../../database/people'
import { hashOf, isPassword, passwordSchema } from '../../passwords'
import { addressOf } from '../../session'

const input = z.object({ current: z.string().max(1000), next: passwordSchema })

/** Gives oneself another password; all other sessions end. Viewers may: it is theirs. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const { current, next } = readAs(input, await readBody(event))
  if (!(await takeTurn(person.email, addressOf(event))))
    return refuse(429, 'Too many attempts from this address are waiting. Wait a moment, then try again.')
  if (!(await isPassword(current, (await passwordHashOf(person.id)) ?? ''))) {
    await countFailure(person.email, addressOf(event))
    return refuse(422, 'The current password is another one. Check it, then try again.')
  }
  await setPassword(person.id, await hashOf(next), person.session)
  return { ok: true }
})
