import { createHash, randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { beforeEach, describe, expect, it } from 'vitest'
import { database } from './connection'
import { dropJobFile, keepJobFile, writeJobFile } from './job-files'
import {
  addJob,
  advanceJob,
  cancelJob,
  dropJob,
  failJob,
  finishJob,
  forgetWorker,
  hearWorker,
  jobById,
  lapsedJobs,
  renewJob,
  takeJob,
  workersHeard,
} from './jobs'
import { keepMedia, mediaByHash } from './media'
import { addPerson } from './people'

let person = ''
beforeEach(async () => {
  person ||= (await addPerson({ name: 'Ines', email: 'ines@velmoor.example', role: 'editor', passwordHash: null }))!.id
  await database()`delete from jobs`
})
const film = () => addJob({ kind: 'film', deck: null, name: 'A film', input: { side: 720 }, person })
const state = async (id: string) => (await jobById(id))!.state
/** As if so much time had gone by since anything happened to it. */
const later = (id: string, seconds: number) =>
  database()`update jobs set created_at = created_at - ${`${seconds} seconds`}::interval,
    held_until = held_until - ${`${seconds} seconds`}::interval where id = ${id}`
const hashOf = (name: string) => createHash('sha256').update(name).digest('hex')
const media = (hash: string) => ({ hash, name: 'film.mp4', type: 'video/mp4', extension: 'mp4', bytes: 3, width: 1, height: 1 })

describe('a job', () => {
  it('is taken up by one worker, however many ask at once', async () => {
    const id = await film()
    const taken = await Promise.all(Array.from({ length: 6 }, () => takeJob(id)))
    expect(taken.filter(Boolean)).toEqual([expect.objectContaining({ id, kind: 'film', input: { side: 720 }, attempts: 1 })])
    expect(await state(id)).toBe('working')
  })

  it('says how far it is until nobody wants it any more', async () => {
    const id = await film()
    expect(await advanceJob(id, 1, 10, 'too soon')).toBe(false)
    await takeJob(id)
    expect(await advanceJob(id, 4, 10, 'Drawing')).toBe(true)
    expect(await jobById(id)).toMatchObject({ done: 4, total: 10, message: 'Drawing' })
    expect(await cancelJob(id)).toBe(true)
    expect(await advanceJob(id, 5, 10, 'Drawing')).toBe(false)
    expect(await cancelJob(id)).toBe(false)
  })

  it('that is over stays so: one that was cancelled is not done after all', async () => {
    const id = await film()
    await takeJob(id)
    await cancelJob(id)
    await keepMedia(media(hashOf('f1')), new Uint8Array(3), null)
    await finishJob(id, hashOf('f1'))
    await failJob(id, 'late')
    expect(await jobById(id)).toMatchObject({ state: 'cancelled', result: null, message: '' })
  })

  it('begins again where it failed, from nothing', async () => {
    const id = await film()
    await takeJob(id)
    await advanceJob(id, 4, 10, 'Drawing')
    expect(await renewJob(id)).toBe(false)
    await failJob(id, 'x'.repeat(900))
    expect((await jobById(id))!.message).toHaveLength(500)
    expect(await renewJob(id)).toBe(true)
    expect(await jobById(id)).toMatchObject({ state: 'waiting', done: 0, message: '', endedAt: null })
    expect(await takeJob(id)).toMatchObject({ attempts: 1 })
  })

  it('waits again once its worker was not heard of for twenty seconds', async () => {
    const id = await film()
    await takeJob(id)
    await later(id, 15)
    expect(await lapsedJobs()).toEqual([])
    expect(await state(id)).toBe('working')
    await later(id, 10)
    expect(await lapsedJobs()).toEqual([{ id }])
    expect(await takeJob(id)).toMatchObject({ attempts: 2 })
  })

  it('that nobody was offered is offered again, once in a while', async () => {
    const id = await film()
    expect(await lapsedJobs()).toEqual([])
    await later(id, 40)
    expect(await lapsedJobs()).toEqual([{ id }])
    expect(await lapsedJobs()).toEqual([])
    await later(id, 400)
    expect(await lapsedJobs()).toEqual([{ id }])
  })

  it('takes what it made along when it is taken away, unless that is somebody’s or another’s', async () => {
    for (const [name, made] of [
      ['gone', true],
      ['kept', false],
    ] as const) {
      const hash = hashOf(name)
      await keepMedia(media(hash), new Uint8Array(3), null)
      await database()`update media set made = ${made} where hash = ${hash}`
      const id = await film()
      await takeJob(id)
      await dropJob(id)
      expect(await state(id)).toBe('working')
      await finishJob(id, hash)
      const other = await film()
      await takeJob(other)
      await finishJob(other, hash)
      await dropJob(id)
      expect(await mediaByHash(hash)).toBeDefined()
      await dropJob(other)
      expect(await mediaByHash(hash))[made ? 'toBeUndefined' : 'toBeDefined']()
    }
  })

  it('keeps the file that it is about in parts, and gives the same back', async () => {
    const id = await film()
    const folder = mkdtempSync(path.join(os.tmpdir(), 'hailbank-job-'))
    const [from, to] = [path.join(folder, 'from'), path.join(folder, 'to')]
    const content = Buffer.from(Array.from({ length: 2_300_000 }, (_, index) => (index * 7) % 251))
    writeFileSync(from, content)
    await keepJobFile(id, from)
    expect(await database()`select part from job_files where job = ${id}`).toHaveLength(3)
    expect(await writeJobFile(id, to)).toBe(true)
    expect(readFileSync(to).equals(content)).toBe(true)
    await dropJobFile(id)
    expect(await writeJobFile(id, to)).toBe(false)
  })
})

describe('workers', () => {
  it('count while they are heard of', async () => {
    const [one, two] = [randomUUID(), randomUUID()]
    await hearWorker(one)
    await hearWorker(one)
    await hearWorker(two)
    expect(await workersHeard()).toBe(2)
    await database()`update workers set heard_at = now() - interval '30 seconds' where id = ${two}`
    expect(await workersHeard()).toBe(1)
    await forgetWorker(one)
    expect(await workersHeard()).toBe(0)
  })
})
