import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, watchEffect } from 'vue'
import { seasons } from '#core/testing'
import { answers } from '../testing/setup'

beforeEach(() => void vi.useFakeTimers())
/** What is asked for, and how each request in turn is answered; the last answer stands for all further ones. */
function answering(id: string, ...turns: (() => unknown)[]) {
  let asked = 0
  answers.set(`/api/tables/${id}`, () => turns[Math.min(asked++, turns.length - 1)]!())
  return () => asked
}
const fails = (error: Error) => () => {
  throw error
}
const failure = (status: number, message: string) => Object.assign(new Error(message), { name: 'FetchError', status, data: { message } })

describe('a table that something shows', () => {
  it('is fetched once, however many ask', async () => {
    const asked = answering('seasons', () => seasons)
    const tables = useTables()
    expect([tables.table('seasons'), tables.table('seasons')]).toEqual([undefined, undefined])
    await vi.runAllTimersAsync()
    expect([tables.table('seasons'), asked(), tables.lacking('seasons')]).toEqual([seasons, 1, ''])
  })

  it('is told to be lacking while the server is away, and comes by itself once it is there again', async () => {
    answering('seasons', fails(failure(503, 'The server is busy.')), () => seasons)
    const tables = useTables()
    const seen: (string | undefined)[] = []
    watchEffect(() => void seen.push(tables.table('seasons')?.id))
    await vi.advanceTimersByTimeAsync(100)
    expect(tables.lacking('seasons')).toBe('The server is busy.')
    await vi.advanceTimersByTimeAsync(6000)
    await nextTick()
    expect([seen.at(-1), tables.lacking('seasons')]).toEqual(['seasons', ''])
  })

  it('is not asked for again where it is gone', async () => {
    const asked = answering('gone', fails(failure(404, 'There is no such table.')))
    const tables = useTables()
    tables.table('gone')
    await vi.advanceTimersByTimeAsync(60_000)
    tables.table('gone')
    expect([asked(), tables.lacking('gone')]).toEqual([1, 'There is no such table.'])
  })

  it('is brought anew where another version is on air, its rows staying until then; what never changes is not asked about', async () => {
    const rows = (version: string) => ({ ...seasons, id: 'team', name: version, version })
    answering(
      'team',
      () => rows('v1'),
      () => rows('v2'),
    )
    answering('seasons', () => seasons)
    const asked: unknown[] = []
    let aired = 'v1'
    answers.set('/api/tables/on-air', ({ query }) => {
      asked.push((query as { ids: string }).ids)
      return { team: aired }
    })
    const tables = useTables()
    tables.table('team')
    tables.table('seasons')
    await vi.advanceTimersByTimeAsync(100)
    const stop = tables.followOnAir()
    await vi.advanceTimersByTimeAsync(3100)
    expect([tables.table('team')!.name, asked]).toEqual(['v1', ['team']])
    aired = 'v2'
    await vi.advanceTimersByTimeAsync(3100)
    expect(tables.table('team')!.name).toBe('v2')
    stop()
    await vi.advanceTimersByTimeAsync(9000)
    expect(asked).toHaveLength(2)
  })

  it('stays as it is while nobody can say what is on air', async () => {
    answering('team', () => ({ ...seasons, id: 'team', version: 'v1' }))
    answers.set('/api/tables/on-air', fails(failure(503, 'The server is busy.')))
    const tables = useTables()
    tables.table('team')
    await vi.advanceTimersByTimeAsync(100)
    const stop = tables.followOnAir()
    await vi.advanceTimersByTimeAsync(9000)
    expect(tables.table('team')!.version).toBe('v1')
    stop()
  })
})
