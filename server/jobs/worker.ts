import os from 'node:os'
import { closeDatabase } from '../database/connection'
import { lapsedJobs } from '../database/jobs'
import { closeQueue, offerJob, takeJobs } from './queue'
import { clearFolders } from '../media/in-file'
import { runJob } from './run'

/** A process of its own that does long work, behind everything that people wait for at once. Any number of them may run, on any machines. */
os.setPriority(10)

/** Looks for jobs whose worker is gone, every so many milliseconds. */
const looksAfter = 10_000
/** How many jobs this process does at once: more than one browser pair a core gains nothing. */
const atOnce = Math.max(1, Math.floor(os.cpus().length / 2))

async function lookAfter() {
  for (const { id } of await lapsedJobs().catch(() => [])) await offerJob(id).catch(() => {})
}

async function begin() {
  for (;;) {
    try {
      for (let index = 0; index < atOnce; index++) await takeJobs(runJob)
      return
    } catch {
      await new Promise(resolve => setTimeout(resolve, 1000))
    }
  }
}

async function end() {
  await closeQueue()
  await closeDatabase()
  process.exit(0)
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end())
process.on('unhandledRejection', () => {})

await clearFolders()
await begin()
await lookAfter()
setInterval(() => void lookAfter(), looksAfter)
