import { stat } from 'node:fs/promises'
import { readDeck } from '../../core/model'
import { filmOrderSchema, formatWords } from '../../core/formats/film'
import { advanceJob, failJob, finishJob, mostAttempts, takeJob } from '../database/jobs'
import { keepMediaFile, type MediaRow } from '../database/media'
import { makeFilm } from '../film/make'
import { Refused, type Progress } from './progress'
import { Stuck, unlessStuck } from './stuck'
import { convertClip } from '../media/convert'
import { log, logError } from '../log'
import { UserError } from '../user-error'
import { hashOfFile } from '../media/hash-file'
import { inFolder } from '../media/in-file'

/** Somebody cancelled the job, or somebody else has taken it up. */
class NotWanted extends Error {}

/** Progress is put on disk at most so often, milliseconds. */
const between = 400

/** Tells how far a job is, now and then; `alive` says it once more while it waits long for a browser or a decoder. */
function progressOf(id: string): { progress: Progress; alive: () => void } {
  let at = 0
  let last: [number, number, string] = [0, 0, '']
  return {
    async progress(...now) {
      const same = now[2] === last[2]
      last = now
      if (same && Date.now() - at < between) return
      at = Date.now()
      if (!(await advanceJob(id, ...now))) throw new NotWanted()
    },
    alive: () => void advanceJob(id, ...last).catch(error => log.warn({ job: id, err: error }, 'could not say how far it is')),
  }
}

/** What went wrong, in one sentence for a person. */
export function sentence(error: unknown): string {
  if (error instanceof Refused || error instanceof UserError) return error.message
  const said = error instanceof Error ? `${(error as NodeJS.ErrnoException).code ?? ''} ${error.message}` : String(error)
  if (/ENOSPC|no space left|disk full|53100/i.test(said))
    return 'The server’s disk is full. Make room on it, then try again; nothing that you made is lost.'
  const id = logError(error, 'long work broke off')
  return `It broke off (${said.trim().split('\n')[0]!.slice(0, 160)}), and was written down on the server as ${id}. Try it again.`
}

/** Does one job, whatever comes of it; its row says what did. */
export async function runJob(id: string) {
  const job = await takeJob(id)
  if (!job) return
  if (job.attempts > mostAttempts)
    return void (await failJob(
      id,
      `It was begun ${mostAttempts} times, and the program that made it ended each time. Choose a smaller picture or fewer ` +
        'slides, then try again.',
    ))
  const { progress, alive } = progressOf(id)
  const beating = setInterval(alive, 5000)
  try {
    await inFolder(folder =>
      unlessStuck(async further => {
        const told: Progress = async (...now) => {
          further()
          await progress(...now)
        }
        const made = job.kind === 'film' ? await film(job.input, folder, told) : await convertClip(job, folder, told)
        further()
        await keepMediaFile(made.row, made.file, job.person, job.kind === 'film')
        await made.kept?.()
        await finishJob(id, made.row.hash)
      }),
    )
  } catch (error) {
    if (!(error instanceof NotWanted)) await failJob(id, sentence(error))
    // Whatever it waited for would go on beside the next job: this process ends, and a fresh one takes its place.
    if (error instanceof Stuck) {
      log.error({ job: id }, 'long work stood still, this worker ends')
      process.kill(process.pid, 'SIGTERM')
    }
  } finally {
    clearInterval(beating)
  }
}

async function film(
  input: unknown,
  folder: string,
  progress: Progress,
): Promise<{ row: MediaRow; file: string; kept?: () => Promise<void> }> {
  const { order: ordered, deck, title } = input as { order: unknown; deck: unknown; title: string }
  const order = filmOrderSchema.parse(ordered)
  const read = readDeck(deck)
  if (!read.ok) throw new Refused(read.message)
  const file = await makeFilm(read.value.deck, order, folder, progress)
  const zipped = file.endsWith('.zip')
  const { extension, type } = zipped ? formatWords.stills : formatWords[order.format]
  return {
    file,
    row: {
      hash: await hashOfFile(file),
      name: title.slice(0, 180),
      type,
      extension,
      bytes: (await stat(file)).size,
      width: null,
      height: null,
    },
  }
}
