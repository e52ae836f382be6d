import { signOut } from '../../session'

/** Signs out. Open to all: it only ends the session that the request itself bears. */
export default defineEventHandler(async event => {
  await signOut(event)
  return { ok: true }
})
