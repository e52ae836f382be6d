/** Signs out. Open to all: it only ends the session that the request itself bears. */
export default defineEventHandler(async event => {
  await clearUserSession(event)
  return { ok: true }
})
