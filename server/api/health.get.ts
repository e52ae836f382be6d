import { database, isPassing } from '../database/connection'
import { workersHeard } from '../database/jobs'
import { logError } from '../log'
import { loopDelay } from '../measures'

/**
 * Open to all: whether the application and its database answer, whether long work is being done, and how long others had to wait. Nothing
 * of what is in it.
 */
export default defineEventHandler(async event => {
  setHeader(event, 'cache-control', 'no-store')
  try {
    await database()`select 1`
    return { ok: true, database: true, workers: await workersHeard(), loopDelay: loopDelay() }
  } catch (error) {
    if (!isPassing(error)) logError(error, 'the state of the database is unclear')
    setResponseStatus(event, 503)
    return { ok: false, database: false, workers: 0, loopDelay: loopDelay() }
  }
})
