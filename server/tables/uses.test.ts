import { afterAll, describe, expect, it } from 'vitest'
import { newChart } from '../../core/charts'
import { applyChanges, putRecord, slidesOf } from '../../core/model'
import { countingContext, freshDeck } from '../../core/testing'
import { addState } from '../../core/timing'
import { endThreads } from '../apart'
import { removeDeck } from '../database/decks'
import { addPerson } from '../database/people'
import { addLoop, addScreen, setLoopItems, setScreenLoop } from '../database/screens'
import { makeDeck } from '../decks/make'
import { publishDeck } from '../decks/publish'
import { endSteps } from '../steps'
import { makeBySteps } from './made'
import { makeSource, sourceAsked } from './sources'
import { usesOf } from './uses'

afterAll(async () => {
  await endThreads()
  await endSteps()
})

describe('where a table is used', () => {
  it('is told by slides that draw it, also in a state alone, by screens that play it and tables made of it', async () => {
    const person = (await addPerson({ name: 'Ines Rahm', email: 'ines-uses@velmoor.example', role: 'editor', passwordHash: null }))!.id
    const bring = async (name: string) => (await makeSource(new TextEncoder().encode('route;riders\nQuill;1\nMarsh;2'), name, person)).id
    const [shown, inState] = [await bring('shown.csv'), await bring('in-state.csv')]
    expect(await usesOf(shown)).toEqual({ decks: [], screens: [], made: [] })

    const base = freshDeck('loop')
    const slide = slidesOf(base)[0]!.id
    const box = { x: 100, y: 200, width: 1600, height: 700, angle: 0 }
    const charted = applyChanges(base, [
      putRecord('elements', { id: 'c', owner: slide, name: 'Riders', order: 'a9', kind: 'chart', chart: newChart(shown), box }),
    ])
    const told = applyChanges(charted, addState(charted, { element: 'c', spec: newChart(inState) }, countingContext('s')))
    await makeDeck('uses', told, person)
    await publishDeck('uses', told, person)
    await addLoop('uses-loop', 'Hall')
    await setLoopItems('uses-loop', [{ id: 'uses-item', deck: 'uses' }])
    await addScreen({ id: 'uses-wall', name: 'Wall', place: '', token: 'uses-token' })
    await setScreenLoop('uses-wall', 'uses-loop')
    const made = await makeBySteps(await sourceAsked(shown), 'In steps', [], person)

    const deck = {
      id: 'uses',
      title: expect.any(String) as string,
      stays: [],
      slides: [{ slide, number: 1, title: expect.any(String) as string }],
    }
    expect(await usesOf(shown)).toEqual({
      decks: [deck],
      screens: [{ id: 'uses-wall', name: 'Wall' }],
      made: [{ id: made.id, name: 'In steps' }],
    })
    expect((await usesOf(inState)).decks).toEqual([deck])
    await removeDeck('uses')
    expect(await usesOf(shown)).toMatchObject({ decks: [], screens: [] })
  })
})
