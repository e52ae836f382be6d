import { cancelJob } from '../../../database/jobs'
import { jobOf } from '../../../jobs/asked'

/** Ends a job that is not over. */
export default defineEventHandler(async event => ({ cancelled: await cancelJob((await jobOf(event, true)).id) }))
