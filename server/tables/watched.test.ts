import { mkdtemp, rm, symlink, utimes, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest'
import { endThreads } from '../apart'
import { dropSource, linkedSources, listSources, versionsOf } from '../database/sources'
import { tableById } from '../database/tables'
import { lookThrough, nothingSeen, watchFolder, type Seen } from './watched'

afterAll(endThreads)
let folder = ''
let seen: Seen
let clock = 1_900_000_000
beforeEach(async () => {
  folder = await mkdtemp(path.join(tmpdir(), 'watched-'))
  seen = nothingSeen()
})
afterEach(async () => {
  for (const { id } of await linkedSources()) await dropSource(id)
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
    expect((await follows('riders.csv'))!.fileFault).toBe('riders.csv is not in the folder any more.')
    await save('riders.csv', 'stop;riders\nQuill;20')
    await look()
    expect([(await follows('riders.csv'))!.fileFault, await valuesOf(id)]).toEqual([null, [20]])
  })

  it('is asked about a file that is no table once, until that changes', async () => {
    await save('empty.csv', '')
    await save('riders.csv', 'stop;riders\nQuill;12')
    await look()
    expect((await linkedSources()).map(({ file }) => file)).toEqual(['riders.csv'])
    await save('empty.csv', 'a;b\nx;1')
    await look()
    expect((await linkedSources()).map(({ file }) => file).sort()).toEqual(['empty.csv', 'riders.csv'])
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
})
