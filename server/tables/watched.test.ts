import { mkdtemp, rm, symlink, truncate, utimes, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest'
import { endThreads } from '../apart'
import { database } from '../database/connection'
import {
  dropSource,
  endWatching,
  forgetFaults,
  isWatching,
  linkedSources,
  listSources,
  versionsOf,
  watchedFaults,
} from '../database/sources'
import { tableById } from '../database/tables'
import { lookThrough, watchFolder, type Seen } from './watched'

afterAll(endThreads)
let folder = ''
let seen: Seen
let clock = 1_900_000_000
beforeEach(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'watched-'))
  seen = new Map()
})
afterEach(async () => {
  for (const { id } of await linkedSources()) await dropSource(id)
  await forgetFaults((await watchedFaults()).map(({ file }) => file))
  await rm(folder, { recursive: true })
})
/** Saves a file, each time a second later than the last. */
async function save(name: string, text: string) {
  await writeFile(path.join(folder, name), text)
  clock++
  await utimes(path.join(folder, name), clock, clock)
}
/** Looks twice: a file is taken once it has stayed the same in between. */
async function look() {
  await lookThrough(folder, seen)
  await lookThrough(folder, seen)
}
const follows = async (file: string) => (await linkedSources()).find(source => source.file === file)
const valuesOf = async (id: string) => (await tableById(id))!.columns.at(-1)!.values

describe('a watched folder', () => {
  it('makes a table of every file that is one, and of nothing else', async () => {
    await save('riders.csv', 'stop;riders\nQuill;12')
    await save('notes.md', '# no table')
    await writeFile(path.join(tmpdir(), 'outside.csv'), 'secret;1\nkey;2')
    await symlink(path.join(tmpdir(), 'outside.csv'), path.join(folder, 'outside.csv'))
    await look()
    expect((await linkedSources()).map(({ file, name }) => [file, name])).toEqual([['riders.csv', 'riders']])
    expect(await valuesOf((await follows('riders.csv'))!.id)).toEqual([12])
    expect((await listSources()).find(({ file }) => file === 'riders.csv')).toMatchObject({ fault: false, versions: 1 })
  })

  it('reads a file that is saved anew as the next version, and one that is only touched as none', async () => {
    await save('riders.csv', 'stop;riders\nQuill;12')
    await look()
    const { id } = (await follows('riders.csv'))!
    const first = (await tableById(id))!.version
    await save('riders.csv', 'stop;riders\nQuill;15')
    await look()
    expect([await valuesOf(id), (await versionsOf(id)).length]).toEqual([[15], 2])
    expect((await tableById(id))!.version).not.toBe(first)
    await save('riders.csv', 'stop;riders\nQuill;15')
    await look()
    expect((await versionsOf(id)).length).toBe(2)
  })

  it('waits until a file is written to its end', async () => {
    await save('riders.csv', 'stop;ri')
    await lookThrough(folder, seen)
    await save('riders.csv', 'stop;riders\nQuill;12')
    await lookThrough(folder, seen)
    expect(await linkedSources()).toHaveLength(0)
    await lookThrough(folder, seen)
    expect(await linkedSources()).toHaveLength(1)
  })

  it('leaves a table as it is, and says why, where its file breaks it, is none any more, or is gone', async () => {
    await save('riders.csv', 'stop;riders\nQuill;12')
    await look()
    const { id } = (await follows('riders.csv'))!
    await save('riders.csv', 'place;riders\nQuill;9')
    await look()
    expect((await versionsOf(id)).at(-1)!.held).toBe('The column “stop” is gone.')
    await save('riders.csv', '')
    await look()
    expect((await follows('riders.csv'))!.fileFault).toMatch(/holds nothing/)
    expect(await valuesOf(id)).toEqual([12])
    await rm(path.join(folder, 'riders.csv'))
    await look()
    expect((await follows('riders.csv'))!.fileFault).toBe('It is not in the folder any more.')
    await save('riders.csv', 'stop;riders\nQuill;20')
    await look()
    expect([(await follows('riders.csv'))!.fileFault, await valuesOf(id)]).toEqual([null, [20]])
  })

  it('says of a file that is no table why, until it is one, and takes all others', async () => {
    await save('empty.csv', '')
    await save('huge.csv', 'a;b')
    await truncate(path.join(folder, 'huge.csv'), 101 * 1024 * 1024)
    await save(`${'a very long name '.repeat(13)}.csv`, 'stop;riders\nQuill;12')
    await look()
    const faults = Object.fromEntries((await watchedFaults()).map(({ file, fault }) => [file, fault]))
    expect(faults['empty.csv']).toMatch(/holds nothing/)
    expect(faults['huge.csv']).toBe('It has 101 MB; at most 100 can be read.')
    expect((await linkedSources()).map(({ file }) => file)).toEqual([`${'a very long name '.repeat(13)}.csv`])
    await save('empty.csv', 'a;b\nx;1')
    await rm(path.join(folder, 'huge.csv'))
    await look()
    expect(await watchedFaults()).toEqual([])
    expect(await follows('empty.csv')).toBeDefined()
  })

  it('does not bring back a table that was removed, but once its file is saved anew', async () => {
    await save('riders.csv', 'stop;riders\nQuill;12')
    await look()
    await dropSource((await follows('riders.csv'))!.id)
    await look()
    await look()
    expect([await follows('riders.csv'), (await watchedFaults())[0]?.fault]).toEqual([
      undefined,
      'Its table was removed here. Saved anew, it comes back.',
    ])
    await save('riders.csv', 'stop;riders\nQuill;15')
    await look()
    expect([await valuesOf((await follows('riders.csv'))!.id), await watchedFaults()]).toEqual([[15], []])
  })

  it('is followed until it is told to stop, and is made where there is none', async () => {
    const inside = path.join(folder, 'tables')
    const stop = watchFolder(inside)
    await expect
      .poll(
        async () =>
          await writeFile(path.join(inside, 'riders.csv'), 'stop;riders\nQuill;12').then(
            () => true,
            () => false,
          ),
      )
      .toBe(true)
    await expect.poll(async () => (await linkedSources()).length, { timeout: 20_000 }).toBe(1)
    await stop()
  })

  it('is looked through by one of several servers, and by another once that has ended or is not heard of any more', async () => {
    expect([await isWatching('one', 30), await isWatching('two', 30), await isWatching('one', 30)]).toEqual([true, false, true])
    await endWatching('two')
    expect(await isWatching('two', 30)).toBe(false)
    await endWatching('one')
    expect([await isWatching('two', 30), await isWatching('one', 30)]).toEqual([true, false])
    await database()`update watching set until = now() - interval '1 second'`
    expect([await isWatching('one', 30), await isWatching('two', 30)]).toEqual([true, false])
    await endWatching('one')
  })

  it('takes no further file where another server looks by now', async () => {
    await save('first.csv', 'stop;riders\nQuill;12')
    await save('second.csv', 'stop;riders\nQuill;13')
    await lookThrough(folder, seen)
    let asked = 0
    await lookThrough(folder, seen, async () => ++asked < 2)
    expect((await linkedSources()).map(({ file }) => file)).toEqual(['first.csv'])
  })
})
