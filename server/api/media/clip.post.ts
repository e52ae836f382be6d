import { createWriteStream } from 'node:fs'
import { readFile, stat } from 'node:fs/promises'
import path from 'node:path'
import { pipeline } from 'node:stream/promises'
import { Transform } from 'node:stream'
import { fileTypeFromFile } from 'file-type'
import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { folderOfFile, nameOfFile } from '../../body'
import { keepJobFile } from '../../database/job-files'
import { addJob } from '../../database/jobs'
import { changeMedia } from '../../database/media'
import { offerJob } from '../../jobs/queue'
import { brokenOff, checkClip, clipTypes } from '../../media/clip'
import { isPlayable, probeIfReadable } from '../../media/convert'
import { cutAt, packetsOf } from '../../media/packets'
import { inFolder } from '../../media/in-file'
import { keepChecked } from '../../media/keep'

/** A film or sound that is brought may have so many bytes. */
const byteLimit = 4 * 1024 ** 3
/** What browsers play and is no larger than this is kept as it came; more goes the way of a job. */
const atOnce = 64 * 1024 ** 2

/** A film with longer stretches between its key frames, seconds, is made anew: each seek in it would decode so much. */
const mostKeyGap = 12

const input = z.object({ name: nameOfFile('clip'), folder: folderOfFile })

/**
 * Takes a film or sound of any kind that ffmpeg reads. What browsers play is kept as it is; all else becomes a job that
 * makes it playable, and answers with that job’s id.
 */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name, folder: shelf } = readAs(input, getQuery(event))
  const called = `“${name.slice(0, 120)}”`
  return await inFolder(async place => {
    const file = path.join(place, 'clip')
    let size = 0
    const bounded = new Transform({
      transform(part: Buffer, _, next) {
        size += part.length
        next(size > byteLimit ? new Error('too large') : null, part)
      },
    })
    try {
      await pipeline(event.node.req, bounded, createWriteStream(file))
    } catch (error) {
      if (size > byteLimit) return refuse(413, `${called} has more than 4 GB. Cut it, or save it smaller, then drop it again.`)
      if ((error as NodeJS.ErrnoException).code === 'ENOSPC')
        return refuse(507, 'The server’s disk is full. Make room on it, then drop the file again; nothing that you made is lost.')
      return refuse(400, `${called} did not arrive whole. Drop it again.`)
    }
    if (!size) return refuse(422, `${called} is empty. Choose the file once more.`)
    const facts = await probeIfReadable(file)
    if (!facts || (!facts.picture && !facts.sound))
      return refuse(422, `${called} is no film or sound that can be read, or it is damaged. Open it where it comes from and save it anew.`)
    const packets = await packetsOf(file, facts.picture ? 'v:0' : 'a:0')
    const broken = facts.seconds === null ? null : cutAt(packets, facts.seconds)
    if (broken !== null) return refuse(422, brokenOff(called, broken, facts.seconds!))
    const type = (await fileTypeFromFile(file))?.mime ?? ''
    if (clipTypes[type] && size <= atOnce && isPlayable(facts, type) && (packets?.keyGap ?? 0) <= mostKeyGap) {
      const checked = await checkClip(await readFile(file), name, type)
      if (!checked.ok) return refuse(422, checked.message)
      const { row } = checked.value
      await keepChecked(checked.value, person.id)
      if (shelf) await changeMedia(row.hash, { folder: shelf })
      return { hash: row.hash, job: null }
    }
    const job = await addJob({
      kind: 'clip',
      deck: null,
      name,
      person: person.id,
      input: { folder: shelf, bytes: (await stat(file)).size },
    })
    await keepJobFile(job, file)
    await offerJob(job)
    return { hash: null, job }
  })
})
