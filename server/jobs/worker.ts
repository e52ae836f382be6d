import { randomUUID } from 'node:crypto'
import os from 'node:os'
import { closeDatabase, isPassing } from '../database/connection'
import { emptyTrash } from '../database/decks'
import { measureDecks } from '../decks/lengths'
import { forgetWorker, hearWorker, lapsedJobs, workerBeat } from '../database/jobs'
import { log, logError } from '../log'
import { closeQueue, offerJob, takeJobs } from './queue'
import { clearFolders } from '../media/in-file'
import { runJob } from './run'

/**
 * A process of its own that does long work, behind everything that people wait for at once. Any number of them may run, on any machines.
 */
os.setPriority(10)

/** Looks for jobs whose worker is gone, every so many milliseconds. */
const looksAfter = 10_000
/** Looks for decks that changed, to say in lists how long they are, every so many milliseconds. */
const measuresEvery = 3000
/** How many jobs this process does at once: more than one browser pair a core gains nothing. */
const atOnce = Math.max(1, Math.floor(os.cpus().length / 2))

const name = randomUUID()

/** Does what is done again and again; a database that is away is waited for, all else is logged. */
const again = (work: () => Promise<unknown>, about: string) =>
  void work().catch((error: unknown) => (isPassing(error) ? log.warn({ err: error }, about) : logError(error, about)))

async function lookAfter() {
  for (const { id } of await lapsedJobs()) await offerJob(id)
}

async function begin() {
  for (;;) {
    try {
      for (let index = 0; index < atOnce; index++) await takeJobs(runJob)
      return
    } catch (error) {
      again(() => Promise.reject(error), 'the queue cannot be taken from yet')
      await new Promise(resolve => setTimeout(resolve, 1000))
    }
  }
}

async function end() {
  // A queue that is just being opened, or a database that is away, holds it up no longer than this.
  setTimeout(() => process.exit(0), 4000)
  await forgetWorker(name).catch(error => void logError(error, 'could not say that it ends'))
  await closeQueue()
  await closeDatabase()
  process.exit(0)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end())
// Nothing is swallowed: what was overlooked is logged, and the process goes on with its next job.
process.on('unhandledRejection', error => void logError(error, 'overlooked'))

await clearFolders()
again(() => hearWorker(name), 'could not say that it is there')
setInterval(() => again(() => hearWorker(name), 'could not say that it is there'), workerBeat.every * 1000)
await begin()
again(lookAfter, 'jobs of others were not looked after')
setInterval(() => again(lookAfter, 'jobs of others were not looked after'), looksAfter)
again(emptyTrash, 'the trash was not emptied')
setInterval(() => again(emptyTrash, 'the trash was not emptied'), 3_600_000)
// One round after the other: a large deck may take longer than the time between two.
const measuring = () =>
  again(() => measureDecks().finally(() => setTimeout(measuring, measuresEvery)), 'lengths of decks were not reckoned')
measuring()
