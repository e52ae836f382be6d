import { dropJob } from '../../database/jobs'
import { refuse } from '../../access'
import { jobOf } from '../../jobs/asked'

/** Takes a job that is over off the list, with what it made. */
export default defineEventHandler(async event => {
  const job = await jobOf(event, true)
  if (job.state === 'waiting' || job.state === 'working') return refuse(409, 'It is still being made. Cancel it first.')
  await dropJob(job.id)
  return { ok: true }
})
