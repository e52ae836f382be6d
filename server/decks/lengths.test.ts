import { afterAll, describe, expect, it } from 'vitest'
import { addSlide } from '../../core/edits'
import { applyChanges, setRecord, slidesOf, type Deck } from '../../core/model'
import { countingContext, freshDeck, timingContext } from '../../core/testing'
import { rundown } from '../../core/timing'
import { endThreads } from '../apart'
import { database } from '../database/connection'
import { appendUpdates, findDecks, foldUpdates, insertDeck, keepSnapshot, unmeasuredDecks, updatesOf } from '../database/decks'
import { addPerson } from '../database/people'
import { measureDecks } from './lengths'

afterAll(endThreads)

const twoSlides = () => {
  const deck = freshDeck('film')
  return applyChanges(deck, addSlide(deck, { after: slidesOf(deck)[0]!.id, layout: 'layout-list' }, countingContext('n')))
}
async function kept(id: string, deck: Deck, person: string | null = null) {
  const snapshot = JSON.stringify(deck)
  await insertDeck({ id, title: id, purpose: 'film', person, update: Uint8Array.of(1), snapshot, cover: snapshot, slides: 2, tables: [] })
}
const listed = async (id: string, by: 'changed' | 'length' = 'changed') =>
  (await findDecks({ find: '', removed: false, by, from: 0, count: 50 })).decks.find(deck => deck.id === id)!
const waiting = async () => (await unmeasuredDecks(50)).map(({ id }) => id)

describe('how long the decks of the list are', () => {
  it('is reckoned as they are played by their purpose, once for each change', async () => {
    const deck = twoSlides()
    await kept('film', deck)
    expect((await listed('film')).seconds).toBeNull()
    expect(await waiting()).toContain('film')
    await measureDecks()
    const seconds = (await listed('film')).seconds!
    // These slides have no words: that nothing is measured in fonts here makes no difference.
    const played = rundown(deck, 'film', timingContext).slides.map(slide => slide.length)
    expect(seconds).toHaveLength(2)
    seconds.forEach((part, index) => expect(part).toBeCloseTo(played[index]!, 3))
    expect(await waiting()).not.toContain('film')

    await keepSnapshot('film', applyChanges(deck, [setRecord('info', 'info', { title: 'Another name' })]))
    await database()`update decks set changed_at = changed_at - interval '5 seconds', measured_at = measured_at - interval '5 seconds'`
    expect(await waiting()).toContain('film')
    await measureDecks()
    expect(await waiting()).toEqual([])
  })

  it('puts the longest first where that is asked for, those of which nothing is known last', async () => {
    await kept('short', twoSlides())
    await kept('long', twoSlides())
    await kept('unknown', twoSlides())
    await database()`update decks set seconds = '{1,2}' where id = 'short'`
    await database()`update decks set seconds = '{40,2}' where id = 'long'`
    const { decks } = await findDecks({ find: '', removed: false, by: 'length', from: 0, count: 50 })
    expect(decks.map(({ id }) => id).filter(id => ['short', 'long', 'unknown'].includes(id))).toEqual(['long', 'short', 'unknown'])
  })

  it('is left unsaid where a deck cannot be reckoned, which holds up no other', async () => {
    const deck = twoSlides()
    const beats = Object.fromEntries(Object.values(deck.beats).map(beat => [beat.id, { ...beat, hold: undefined }]))
    await kept('broken', { ...deck, beats: beats as unknown as Deck['beats'] })
    await kept('whole', twoSlides())
    await measureDecks()
    expect([
      (await listed('whole')).seconds!.length,
      (await database()`select seconds from decks where id = 'broken'`)[0]!.seconds,
    ]).toEqual([2, null])
    expect(await waiting()).not.toContain('broken')
    await database()`delete from decks where id = 'broken'`
  })
})

describe('who changed a deck last', () => {
  it('is said, whoever made it, also when what they wrote has been folded', async () => {
    const person = async (name: string) =>
      (await addPerson({ name, email: `${name}@velmoor.example`, role: 'editor', passwordHash: null }))!.id
    const [vera, piet] = [await person('Vera'), await person('Piet')]
    const deck = twoSlides()
    await kept('theirs', deck, vera)
    expect(await listed('theirs')).toMatchObject({ owner: { name: 'Vera' }, changer: 'Vera' })
    await appendUpdates('theirs', [{ content: Uint8Array.of(2), person: piet }], 'here')
    await keepSnapshot('theirs', deck)
    expect(await listed('theirs')).toMatchObject({ owner: { name: 'Vera' }, changer: 'Piet' })
    const ids = (await updatesOf('theirs')).map(({ id }) => Number(id))
    await foldUpdates('theirs', ids, Uint8Array.of(3))
    await appendUpdates('theirs', [{ content: Uint8Array.of(4), person: null }], 'upgrade')
    await keepSnapshot('theirs', deck)
    expect(await listed('theirs')).toMatchObject({ changer: 'Piet' })
  })
})
