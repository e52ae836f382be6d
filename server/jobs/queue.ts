import PgBoss from 'pg-boss'
import { log } from '../log'

const name = 'long-work'
let boss: Promise<PgBoss> | undefined

/** The queue of long work, which lives in the database. */
function queue(): Promise<PgBoss> {
  boss ??= (async () => {
    const made = new PgBoss({ connectionString: process.env.DATABASE_URL ?? '', max: 2 })
    // What is lost with a connection is found again by the jobs' own table.
    made.on('error', error => log.warn({ err: error }, 'the queue lost its connection'))
    await made.start()
    await made.createQueue(name, { name, retryLimit: 0 })
    return made
  })()
  // Whoever awaits it hears why.
  boss.catch((_error: unknown) => {
    boss = undefined
  })
  return boss
}

/** Lets a worker take a job up. */
export async function offerJob(id: string) {
  await (await queue()).send(name, { id }, { expireInHours: 23 })
}

/** Takes jobs up one after the other. */
export async function takeJobs(work: (id: string) => Promise<void>) {
  await (
    await queue()
  ).work<{ id: string }>(name, { pollingIntervalSeconds: 1, batchSize: 1 }, async ([job]) => {
    if (job) await work(job.data.id)
  })
}

export async function closeQueue() {
  const open = await boss?.catch((error: unknown) => void log.warn({ err: error }, 'the queue never opened'))
  boss = undefined
  await open?.stop({ graceful: false, timeout: 1000 })
}
