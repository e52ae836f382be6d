import { jobOf } from '../../jobs/asked'

/** How far a job is. */
export default defineEventHandler(async event => await jobOf(event))
