import { database } from '../database/connection'

/** Open to all: whether the application and its database answer. */
export default defineEventHandler(async event => {
  try {
    await database()`select 1`
    return { ok: true }
  } catch {
    setResponseStatus(event, 503)
    return { ok: false }
  }
})
