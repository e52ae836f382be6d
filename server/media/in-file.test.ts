import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import os from 'node:os'
import path from 'node:path'
import { expect, it } from 'vitest'
import { sentence } from '../jobs/run'
import { Refused } from '../jobs/progress'
import { clearFolders, inFolder } from './in-file'

it('a folder is gone after its work, whatever came of it', async () => {
  let seen = ''
  await expect(
    inFolder(async folder => {
      seen = folder
      expect(existsSync(folder)).toBe(true)
      throw new Error('no')
    }),
  ).rejects.toThrow('no')
  expect(existsSync(seen)).toBe(false)
})

it('folders of a process that was killed are cleared away, those of one that works stay', async () => {
  const gone = spawnSync(process.execPath, ['-e', '']).pid
  const [stale, own, other] = [`hailbank-${gone}-abc`, `hailbank-${process.pid}-abc`, 'hailbank-e2e-abc'].map(name =>
    path.join(os.tmpdir(), name),
  ) as [string, string, string]
  for (const folder of [stale, own, other]) mkdirSync(folder, { recursive: true })
  await clearFolders()
  expect([existsSync(stale), existsSync(own), existsSync(other)]).toEqual([false, true, true])
  for (const folder of [own, other]) await rm(folder, { recursive: true })
})

it('what breaks a job off is told in a sentence: a full disk by what to do about it', () => {
  for (const full of [
    Object.assign(new Error('write'), { code: 'ENOSPC' }),
    new Error('av_interleaved_write_frame(): No space left on device'),
    Object.assign(new Error('could not extend file'), { code: '53100' }),
  ]) {
    expect(sentence(full)).toBe('The server’s disk is full. Make room on it, then try again; nothing that you made is lost.')
  }
  expect(sentence(new Refused('The film has no picture.'))).toBe('The film has no picture.')
  expect(sentence(new Error('first line\nsecond'))).toMatch(
    /^It broke off \(first line\), and was written down on the server as [\da-f]{8}\. Try it again\.$/,
  )
})
