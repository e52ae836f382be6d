import { describe, expect, it } from 'vitest'
import { applyChanges, setRecord } from '../../core/model'
import { insertOutline } from '../../core/layouts'
import { freshDeck } from '../../core/testing'
import { database } from './connection'
import {
  appendUpdates,
  countDecks,
  deckExists,
  deleteRemoved,
  emptyTrash,
  decksWithWords,
  findDecks,
  foldUpdates,
  insertDeck,
  keepAside,
  keepPlace,
  keepSnapshot,
  nameDecks,
  makerOf,
  moveToFolder,
  newestUpdates,
  placesOf,
  removeDeck,
  restoreDeck,
  snapshotOf,
  updatesOf,
  type DeckFilter,
} from './decks'
import { addPerson } from './people'

let count = 0
async function deckOf(title = 'Spring timetable', person: string | null = null) {
  const id = `deck-${++count}`
  const deck = applyChanges(freshDeck(), [setRecord('info', 'info', { title })])
  const snapshot = JSON.stringify(deck)
  await insertDeck({ id, title, purpose: 'talk', person, update: Uint8Array.of(1), snapshot, cover: snapshot, slides: 1, tables: [] })
  return { id, deck }
}
const bytes = async (id: string, after = 0) => (await updatesOf(id, after)).map(({ content }) => [...content!])

const all = { find: '', removed: false, by: 'changed', from: 0, count: 100 } as const
const found = async (input: Partial<DeckFilter>) => (await findDecks({ ...all, ...input })).decks

describe('a deck in the database', () => {
  it('is in the list until it is removed, and again when it is restored', async () => {
    const { id } = await deckOf('To be removed')
    const listed = async () => (await found({})).some(deck => deck.id === id)
    expect([await listed(), await deckExists(id)]).toEqual([true, true])
    await removeDeck(id)
    expect([await listed(), await deckExists(id)]).toEqual([false, false])
    expect((await found({ removed: true })).map(deck => deck.id)).toEqual([id])
    await restoreDeck(id)
    expect([await listed(), await deckExists(id)]).toEqual([true, true])
  })

  it('is listed by what it was last, newest first', async () => {
    const { id, deck } = await deckOf('Before')
    await deckOf('Another')
    await keepSnapshot(id, applyChanges(deck, [setRecord('info', 'info', { title: 'After', purpose: 'loop' })]))
    const [first] = await found({})
    expect(first).toMatchObject({ id, title: 'After', purpose: 'loop', slides: 1, version: null })
    expect((await snapshotOf(id))!.info.info!.title).toBe('After')
  })

  it('of an older program gets what lists show of it', async () => {
    const { id } = await deckOf('Old')
    await database()`update decks set cover = null, slides = 0 where id = ${id}`
    expect((await found({})).find(deck => deck.id === id)).toMatchObject({ slides: 1, cover: { info: { info: { title: 'Old' } } } })
  })

  it('is found by every word that stands somewhere in it, taken as letters', async () => {
    const { id } = await deckOf('Fares 100% up_down')
    const says = async (...words: string[]) => (await decksWithWords(words)).some(deck => deck.id === id)
    expect([await says('fares'), await says('FARES', 'up_down'), await says('100%')]).toEqual([true, true, true])
    expect([await says('fares', 'ferry'), await says('f%s'), await says('up-down')]).toEqual([false, false, false])
  })

  it('belongs to whom it was made by; one of too many is refused with what to do', async () => {
    const person = (await addPerson({ name: 'Piet', email: 'piet@velmoor.example', role: 'editor', passwordHash: null }))!.id
    const { id } = await deckOf('Mine', person)
    expect([await makerOf(id), await makerOf('nobody')]).toEqual([person, null])
    await database()`insert into decks (id, title, purpose, created_by, snapshot) select 'many-' || n, 'Many', 'talk', ${person}, '{}'
      from generate_series(1, 1999) n`
    await expect(deckOf('One more', person)).rejects.toThrow('as many as one person may keep')
    await database()`delete from decks where id like 'many-%'`
  })
})

describe('the list of decks', () => {
  it('finds by the words on slides and in notes as they are now, not by what was written before', async () => {
    const { id, deck } = await deckOf('Lanterns')
    let count = 0
    const made = applyChanges(
      deck,
      insertOutline(
        deck,
        { after: null, slides: [{ title: 'Who carries it', lines: [{ text: 'Tove Brandal', level: 0 }] }] },
        { id: () => `n${++count}` },
      ),
    )
    await keepSnapshot(id, made)
    const says = async (find: string) => (await found({ find })).map(one => one.id)
    expect(await says('brandal lanterns')).toEqual([id])
    expect(await says('brandal tariff')).toEqual([])
    await keepSnapshot(id, deck)
    expect(await says('brandal')).toEqual([])
  })

  it('gives a part of what fits, in the order asked for, and says how many fit', async () => {
    for (const title of ['Zeta of a hundred', 'alpha of a hundred', 'Mid of a hundred']) await deckOf(title)
    const asked = { ...all, find: 'of a hundred', by: 'title', count: 2 } as const
    const first = await findDecks(asked)
    const rest = await findDecks({ ...asked, from: 2 })
    expect([first.total, rest.total]).toEqual([3, 3])
    expect([...first.decks, ...rest.decks].map(deck => deck.title)).toEqual(['alpha of a hundred', 'Mid of a hundred', 'Zeta of a hundred'])
  })

  it('keeps decks in folders, and counts them where they are; what is removed counts in the trash alone', async () => {
    const { id } = await deckOf('Filed')
    await moveToFolder(id, 'Council')
    expect((await found({ folder: 'Council' })).map(deck => deck.id)).toEqual([id])
    const before = await countDecks()
    expect(before.folders).toEqual([{ name: 'Council', count: 1 }])
    await removeDeck(id)
    const after = await countDecks()
    expect([after.all, after.removed, after.folders]).toEqual([before.all - 1, before.removed + 1, []])
  })

  it('says whose a deck is, and gives somebody theirs alone', async () => {
    const person = (await addPerson({ name: 'Vera', email: 'vera@velmoor.example', role: 'editor', passwordHash: null }))!.id
    const { id } = await deckOf('By Vera', person)
    expect(await found({ owner: person })).toMatchObject([{ id, owner: { id: person, name: 'Vera' } }])
    expect((await nameDecks()).find(deck => deck.id === id)).toMatchObject({ title: 'By Vera', slides: 1 })
  })

  it('deletes for good what was removed, and nothing else', async () => {
    const { id } = await deckOf('To go')
    expect(await deleteRemoved(id)).toBe(false)
    await removeDeck(id)
    expect(await deleteRemoved(id)).toBe(true)
    await restoreDeck(id)
    expect(await deckExists(id)).toBe(false)
  })

  it('empties the trash of what lies there longer than it is kept, and of nothing else', async () => {
    const [old, fresh, here] = [await deckOf('Long gone'), await deckOf('Just gone'), await deckOf('Still here')]
    await removeDeck(old.id)
    await removeDeck(fresh.id)
    await database()`update decks set removed_at = now() - interval '31 days' where id = ${old.id}`
    process.env.HAILBANK_TRASH_DAYS = '0'
    expect(await emptyTrash()).toBe(0)
    delete process.env.HAILBANK_TRASH_DAYS
    expect(await emptyTrash()).toBe(1)
    const left = await database()<{ id: string }[]>`select id from decks where id in ${database()([old.id, fresh.id, here.id])}`
    expect(left.map(row => row.id).sort()).toEqual([fresh.id, here.id].sort())
  })

  it('knows where somebody was last, the newest first, in decks that are still here', async () => {
    const person = (await addPerson({ name: 'Jon', email: 'jon@velmoor.example', role: 'viewer', passwordHash: null }))!.id
    const [one, two] = [await deckOf('One'), await deckOf('Two')]
    await keepPlace(person, one.id, { slide: 'a', phase: 'outline' })
    await keepPlace(person, two.id, { slide: null, phase: 'time' })
    await keepPlace(person, one.id, { slide: 'b', phase: 'compose' })
    expect(await placesOf(person, 3)).toMatchObject([
      { deck: one.id, title: 'One', slide: 'b', phase: 'compose' },
      { deck: two.id, slide: null, phase: 'time' },
    ])
    await removeDeck(one.id)
    expect((await placesOf(person, 3)).map(place => place.deck)).toEqual([two.id])
  })
})

describe('updates', () => {
  it('are kept in the order in which they came, and given after one that is known', async () => {
    const { id } = await deckOf()
    const ids = await appendUpdates(
      id,
      [2, 3].map(content => ({ content: Uint8Array.of(content), person: null })),
      'node',
    )
    expect(ids[1]).toBeGreaterThan(ids[0]!)
    expect(await bytes(id)).toEqual([[1], [2], [3]])
    expect(await bytes(id, ids[0])).toEqual([[3]])
    const rows = await updatesOf(id, 0, ids)
    expect(rows.map(({ content, bytes: size }) => [content?.length ?? null, size])).toEqual([
      [1, 1],
      [null, 1],
      [null, 1],
    ])
    expect(await newestUpdates([id, 'nobody'])).toEqual([{ deck: id, last: ids[1] }])
  })

  it('are replaced by their sum, which stands where the last of them stood', async () => {
    const { id } = await deckOf()
    const [first] = (await updatesOf(id)).map(row => row.id)
    const more = await appendUpdates(id, [{ content: Uint8Array.of(2), person: null }], 'node')
    await foldUpdates(id, [first!, ...more], Uint8Array.of(1, 2))
    const later = await appendUpdates(id, [{ content: Uint8Array.of(3), person: null }], 'node')
    expect((await updatesOf(id)).map(row => [row.id, [...row.content!]])).toEqual([
      [more[0], [1, 2]],
      [later[0], [3]],
    ])
  })

  it('are left alone where another node has summed some of them up', async () => {
    const { id } = await deckOf()
    const [first] = (await updatesOf(id)).map(row => row.id)
    const more = await appendUpdates(id, [{ content: Uint8Array.of(2), person: null }], 'node')
    await foldUpdates(id, [first!, ...more], Uint8Array.of(1, 2))
    await foldUpdates(id, [first!, ...more], Uint8Array.of(9, 9))
    expect(await bytes(id)).toEqual([[1, 2]])
  })

  it('of two nodes at once are all kept', async () => {
    const { id } = await deckOf()
    await Promise.all(
      Array.from({ length: 20 }, (_, index) =>
        appendUpdates(id, [{ content: Uint8Array.of(100 + index), person: null }], `node-${index % 2}`),
      ),
    )
    expect((await bytes(id)).map(([byte]) => byte).sort()).toEqual([1, ...Array.from({ length: 20 }, (_, index) => 100 + index)].sort())
  })
})

describe('what could not be mended', () => {
  it('is kept aside, even where its letters are none that the database takes', async () => {
    const { id } = await deckOf()
    await keepAside(id, [{ table: 'elements', id: 'a\u0000b', content: 'broken \ud800', reason: 'it has no kind' }])
    const [row] = await database()`select in_table, record, content, reason from set_aside where deck = ${id}`
    expect(row).toMatchObject({ in_table: 'elements', reason: 'it has no kind' })
    expect(row!.record).not.toContain('\u0000')
  })
})
