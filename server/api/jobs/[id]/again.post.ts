import { refuse } from '../../../access'
import { renewJob } from '../../../database/jobs'
import { jobOf } from '../../../jobs/asked'
import { offerJob } from '../../../jobs/queue'

/** Lets a job that failed or was cancelled begin again. */
export default defineEventHandler(async event => {
  const { id } = await jobOf(event, true)
  if (!(await renewJob(id))) return refuse(409, 'It is not over, or done already.')
  await offerJob(id)
  return { ok: true }
})
