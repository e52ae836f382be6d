import { Readable } from 'node:stream'
import { refuse } from '../../../access'
import { mediaByHash, mediaBytes } from '../../../database/media'
import { attach } from '../../../decks/attachment'
import { jobOf } from '../../../jobs/asked'

/** What a job made, to be taken away. */
export default defineEventHandler(async event => {
  const job = await jobOf(event)
  const row = job.result ? await mediaByHash(job.result) : undefined
  if (!row) return refuse(404, 'There is nothing to take away yet.')
  attach(event, job.name, row.extension, row.type)
  setHeader(event, 'content-length', row.bytes)
  return sendStream(event, Readable.from(mediaBytes(row.hash, 0, row.bytes - 1)))
})
