import { describe, expect, it, vi } from 'vitest'
import { told } from '../testing/nuxt'
import { inPage } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useDeckDeeds, useDeckShelf, type DeckEntry } from './deck-shelf'
import { bytesWords, mediaKind, useMediaShelf } from './media-shelf'
import { clockWords } from './clock-words'

const deck = { id: 'hall', title: 'Hall loop' } as DeckEntry

describe('what is done with decks of the list', () => {
  function deeds() {
    const done = vi.fn(() => Promise.resolve())
    const asked: [string, string | undefined, unknown][] = []
    const answer = (address: string) =>
      answers.set(address, ({ method, body }) => {
        asked.push([address, method, body])
        return {}
      })
    return { ...useDeckDeeds(done), done, asked, answer }
  }

  it('is asked of the server, said, and the list fetched anew', async () => {
    const { rename, move, duplicate, deleteForGood, answer, asked, done } = deeds()
    for (const rest of ['', '/copy', '/removed']) answer(`/api/decks/hall${rest}`)
    await rename(deck, 'Night loop')
    await move(deck, 'Quays')
    await move(deck, '')
    await duplicate(deck)
    await deleteForGood(deck)
    expect(asked).toEqual([
      ['/api/decks/hall', 'PATCH', { title: 'Night loop' }],
      ['/api/decks/hall', 'PATCH', { folder: 'Quays' }],
      ['/api/decks/hall', 'PATCH', { folder: '' }],
      ['/api/decks/hall/copy', 'POST', undefined],
      ['/api/decks/hall/removed', 'DELETE', undefined],
    ])
    expect(done).toHaveBeenCalledTimes(5)
    expect(told.map(({ title }) => title)).toEqual([
      '“Hall loop” is in Quays',
      '“Hall loop” is in no folder',
      '“Hall loop, copy” is here',
      '“Hall loop” is gone for good',
    ])
  })

  it('can be taken back where a deck went to the trash', async () => {
    const { remove, answer, asked } = deeds()
    answer('/api/decks/hall')
    answer('/api/decks/hall/restore')
    await remove(deck)
    const [toast] = told
    expect(toast).toMatchObject({ title: '“Hall loop” is in the trash', actions: [{ label: 'Restore' }] })
    toast!.actions![0]!.onClick()
    await vi.waitFor(() => expect(told.at(-1)!.title).toBe('“Hall loop” is back'))
    expect(asked.at(-1)).toEqual(['/api/decks/hall/restore', 'POST', undefined])
  })

  it('is not said to be done where the server refused it', async () => {
    const { duplicate, done } = deeds()
    answers.set('/api/decks/hall/copy', () => {
      throw Object.assign(new Error('refused'), { data: { message: 'You have made 2,000 decks.' } })
    })
    expect(await duplicate(deck)).toBe(false)
    expect([told.map(({ title }) => title), done.mock.calls.length]).toEqual([['You have made 2,000 decks.'], 0])
  })
})

describe('lists that are asked for', () => {
  it('name only what is asked: words without blanks around them, folders and purposes where there are any', async () => {
    const queries: unknown[] = []
    answers.set('/api/decks', ({ query }) => {
      queries.push(query)
      return { total: 0, items: [], counts: { all: 3, folders: [], purposes: {}, removed: 0, trashDays: 30 } }
    })
    const { filter, counts, load } = inPage(() => useDeckShelf())
    await load()
    expect(queries[0]).toEqual({ find: '', from: 0, by: 'changed', mine: false, removed: false })
    expect(counts.value!.all).toBe(3)
    Object.assign(filter, { find: ' tide ', folder: 'Quays', purpose: 'loop', by: 'length' })
    await vi.waitFor(() =>
      expect(queries.at(-1)).toEqual({
        find: 'tide',
        from: 0,
        by: 'length',
        mine: false,
        removed: false,
        folder: 'Quays',
        purpose: 'loop',
      }),
    )
  })

  it('of files are of one kind where only that is wanted, and have no more where pictures that look alike are grouped', async () => {
    const queries: Record<string, unknown>[] = []
    answers.set('/api/media', ({ query }) => {
      queries.push(query as Record<string, unknown>)
      return { total: 90, items: [{ hash: `h${queries.length}` }], groups: [['h1']], folders: [{ name: 'Quays', count: 2 }], tags: [] }
    })
    const shelf = inPage(() => useMediaShelf('film'))
    await shelf.load()
    expect(queries[0]).toEqual({ find: '', from: 0, count: 60, kind: 'film' })
    expect([shelf.folders.value, shelf.canLoadMore()]).toEqual([[{ name: 'Quays', count: 2 }], true])
    shelf.filter.alike = true
    await vi.waitFor(() => expect(queries.at(-1)).toMatchObject({ alike: '' }))
    expect([shelf.canLoadMore(), shelf.groups.value]).toEqual([false, [['h1']]])
  })
})

describe('words for files and clocks', () => {
  it('say what a file is and how heavy, and never that it weighs nothing', () => {
    expect(['image/png', 'video/mp4', 'audio/mpeg'].map(type => mediaKind({ type }))).toEqual(['picture', 'film', 'sound'])
    expect([3, 1499, 999_000, 61_400_000].map(bytesWords)).toEqual(['1 kB', '1 kB', '999 kB', '61.4 MB'])
  })
  it('carry what is rounded up on into the minutes', () => {
    expect([0, 59.4, 59.6, 600].map(seconds => clockWords(seconds))).toEqual(['0:00', '0:59', '1:00', '10:00'])
    expect([59.94, 59.96, 61.25].map(seconds => clockWords(seconds, true))).toEqual(['0:59.9', '1:00.0', '1:01.3'])
  })
})
