import { afterAll, describe, expect, it } from 'vitest'
import { newChart } from '../../core/charts'
import { pinnedId } from '../../core/data'
import { applyChanges, putRecord, slidesOf, type ChartSpec, type Deck } from '../../core/model'
import { countingContext, freshDeck } from '../../core/testing'
import { addState } from '../../core/timing'
import { endThreads } from '../apart'
import { addPerson } from '../database/people'
import { addLoop, loopItems, setLoopItems, versionOf } from '../database/screens'
import { airedVersions, tableById } from '../database/tables'
import { makeDeck } from '../decks/make'
import { publishDeck } from '../decks/publish'
import { manifestOf } from '../screens/manifest'
import { asAired } from './on-air'
import { addVersion, makeSource, sourceAsked } from './sources'
import { usesOf } from './uses'

afterAll(endThreads)

const bytes = (years: number) =>
  new TextEncoder().encode(['year,route,riders', ...Array.from({ length: years }, (_, at) => `${2020 + at},Quill,${10 + at}`)].join('\n'))

/** A loop whose chart runs through the years of a table. */
function running(table: string): Deck {
  const base = freshDeck('loop')
  const slide = slidesOf(base)[0]!.id
  const at = (moment: 'first' | 'last'): ChartSpec => ({
    ...newChart(table),
    kind: 'lying-bar',
    across: 'route',
    height: 'riders',
    moment: { column: 'year', at: moment },
  })
  const box = { x: 100, y: 200, width: 1600, height: 700, angle: 0 }
  const chart = putRecord('elements', { id: 'c', owner: slide, name: 'Race', order: 'a9', kind: 'chart', chart: at('first'), box })
  const charted = applyChanges(base, [chart])
  return applyChanges(charted, addState(charted, { element: 'c', spec: at('last') }, countingContext('s')))
}

describe('what is played of a table that gets another version', () => {
  it('draws its rows, lasts as long as they ask for, and tells the screens that it does', async () => {
    const person = (await addPerson({ name: 'Ines Rahm', email: 'ines@velmoor.example', role: 'editor', passwordHash: null }))!.id
    const { id } = await makeSource(bytes(4), 'riders.csv', person)
    const deck = running(id)
    await makeDeck('race', deck, person)
    const { number, seconds } = await publishDeck('race', deck, person)
    await addLoop('hall', 'Hall')
    await setLoopItems('hall', [{ id: 'i', deck: 'race' }])
    const screen = { id: 'wall', name: 'Wall', loop: 'hall' } as Parameters<typeof manifestOf>[0]
    const before = await manifestOf(screen)
    expect(before.items[0]!.tables).toBe(`${id} ${(await airedVersions([id]))[id]}`)

    await addVersion(await sourceAsked(id), bytes(9), 'riders-2.csv', person)
    const after = await manifestOf(screen)
    expect([after.tag === before.tag, after.items[0]!.tables === before.items[0]!.tables]).toEqual([false, false])
    // Five more years, at 1.1 s each.
    expect((await loopItems('hall'))[0]!.seconds! - seconds).toBeCloseTo(5.5, 1)
    const [table] = await asAired((await versionOf('race', number))!.tables)
    expect(table!.columns[0]!.values).toHaveLength(9)

    // One that would break it changes nothing of what is played.
    const broken = new TextEncoder().encode('when,route,riders\n2020,Quill,1')
    expect((await addVersion(await sourceAsked(id), broken, 'riders-3.csv', person)).held).toMatch(/“year” is gone/)
    expect((await manifestOf(screen)).tag).toBe(after.tag)
  })

  it('stays as it is where the deck stays at a version, and is found to use the table', async () => {
    const person = (await addPerson({ name: 'Nele Okonjo', email: 'nele@velmoor.example', role: 'editor', passwordHash: null }))!.id
    const { id } = await makeSource(bytes(4), 'pinned.csv', person)
    const pin = pinnedId({ source: id, number: 1 })
    await makeDeck('pinned', running(pin), person)
    const { number } = await publishDeck('pinned', running(pin), person)
    const kept = (await versionOf('pinned', number))!.tables
    await addVersion(await sourceAsked(id), bytes(9), 'pinned-2.csv', person)
    expect((await tableById(id))!.columns[0]!.values).toHaveLength(9)
    const [table] = await asAired(kept)
    expect([table!.id, table!.columns[0]!.values.length]).toEqual([pin, 4])
    expect(await tableById(pinnedId({ source: id, number: 7 }))).toBeUndefined()
    const { decks } = await usesOf(id)
    expect(decks.map(deck => [deck.id, deck.slides.length, deck.stays])).toEqual([['pinned', 1, [1]]])
  })
})
