import { beforeEach, describe, expect, it } from 'vitest'
import { freshDeck } from '../../core/testing'
import { database } from './connection'
import {
  addLoop,
  addScreen,
  heardFrom,
  keepPlays,
  listLoops,
  listScreens,
  loopExists,
  loopItems,
  noteGiven,
  publish,
  removeScreen,
  screenByToken,
  setLoopItems,
  setScreenLoop,
  setScreenToken,
  versionOf,
} from './screens'

beforeEach(async () => {
  await database()`truncate screens, loops, decks cascade`
  await database()`insert into decks (id, title, purpose, snapshot) values
    ('hall', 'The hall', 'loop', '{}'), ('fares', 'Fares', 'loop', '{}')`
})
const screen = (id = 'door') => addScreen({ id, name: `Screen ${id}`, place: 'Quay 2', token: `token-${id}` })
const published = (deck = 'hall', seconds = 40) => publish({ deck, snapshot: freshDeck('loop'), tables: [], seconds, person: null })
const ago = (seconds: number) => new Date(Date.now() - seconds * 1000)
const played = () => database()`select deck, version, seconds from plays order by started_at`

describe('a screen', () => {
  it('is known by its address until that is taken back, and by another one then', async () => {
    await screen()
    expect(await screenByToken('token-door')).toMatchObject({ id: 'door', place: 'Quay 2', loop: null, playing: null })
    expect(await setScreenToken('door', null)).toBe(true)
    expect(await screenByToken('token-door')).toBeUndefined()
    await setScreenToken('door', 'another')
    expect(await screenByToken('another')).toMatchObject({ id: 'door' })
    expect(await setScreenToken('nobody', 'x')).toBe(false)
    expect([await removeScreen('door'), await removeScreen('door')]).toEqual([true, false])
  })

  it('says when it was last heard and what it showed', async () => {
    await screen()
    const playing = { deck: 'hall', version: 1, title: 'The hall', slide: 's1' }
    await heardFrom('door', playing)
    const [row] = await listScreens()
    expect(row!.playing).toEqual(playing)
    expect(row!.heard_at!.getTime()).toBeGreaterThan(Date.now() - 60_000)
    await heardFrom('door', null)
    expect((await listScreens())[0]!.playing).toBeNull()
  })
})

describe('a loop', () => {
  it('has its decks in order, each in its newest version, none that was removed', async () => {
    await addLoop('walls', 'Walls')
    expect([await loopExists('walls'), await loopExists('none')]).toEqual([true, false])
    await setLoopItems('walls', [
      { id: 'a', deck: 'fares' },
      { id: 'b', deck: 'hall' },
      { id: 'c', deck: 'fares' },
    ])
    await published('hall', 30)
    await published('hall', 44)
    expect(await loopItems('walls')).toMatchObject([
      { id: 'a', deck: 'fares', title: 'Fares', version: null, seconds: null },
      { id: 'b', deck: 'hall', version: 2, seconds: 44 },
      { id: 'c', deck: 'fares' },
    ])
    await setLoopItems('walls', [{ id: 'b', deck: 'hall' }])
    expect((await loopItems('walls')).map(({ id }) => id)).toEqual(['b'])
    await database()`update decks set removed_at = now() where id = 'hall'`
    expect(await loopItems('walls')).toEqual([])
  })

  it('is given to screens, and none such is told', async () => {
    await screen()
    await addLoop('walls', 'Walls')
    expect(await setScreenLoop('door', 'walls')).toBe(true)
    expect(await setScreenLoop('nobody', 'walls')).toBe(false)
    expect((await listLoops()).map(({ name }) => name)).toEqual(['Walls'])
  })
})

describe('versions', () => {
  it('are numbered by deck, and stay as they were published', async () => {
    expect([await published(), await published(), await published('fares')]).toEqual([1, 2, 1])
    expect((await versionOf('hall', 2))!.snapshot.info.info!.purpose).toBe('loop')
    expect(await versionOf('hall', 3)).toBeUndefined()
  })
})

describe('what a screen says it played', () => {
  const play = (seconds: number, startedAt: Date, version = 1) => ({ deck: 'hall', version, startedAt, seconds })
  beforeEach(async () => {
    await screen()
    await published('hall', 40)
    await noteGiven('door', [{ deck: 'hall', version: 1 }])
    await database()`update given set since = now() - interval '1 hour'`
  })

  it('counts, and twice said counts once', async () => {
    const plays = [play(40, ago(600)), play(40, ago(500))]
    expect(await keepPlays('door', plays)).toBe(0)
    expect(await keepPlays('door', plays)).toBe(0)
    expect(await played()).toHaveLength(2)
  })

  it.each([
    ['before the screen was given it', play(40, ago(4000))],
    ['in the future', play(40, ago(-600))],
    ['longer than the deck is', play(400, ago(900))],
    ['of a version that it was not given', play(40, ago(600), 2)],
  ])('does not count where it is %s', async (_, said) => {
    expect(await keepPlays('door', [said, play(40, ago(300))])).toBe(1)
    expect(await played()).toHaveLength(1)
  })

  it('counts within the minute by which clocks differ', async () => {
    expect(await keepPlays('door', [play(40, ago(3600 + 50)), play(90, ago(300)), play(10, ago(-40))])).toBe(0)
    expect(await keepPlays('door', [])).toBe(0)
  })
})
