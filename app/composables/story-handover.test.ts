import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { newChart } from '#core/charts'
import { outlineOf } from '#core/layouts'
import { beatsOf, elementsOf } from '#core/model'
import { seasons } from '#core/testing'
import { inPage, openDeck, someDeck } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useStoryIntake, useStoryToPut } from './story-handover'

const chart = { ...newChart('seasons'), kind: 'slope', rule: 'rise' as const }

beforeEach(() => void answers.set('/api/tables/seasons', () => seasons))

describe('a chart that was chosen under Data', () => {
  it('becomes the last slide of its deck with its headline, in hand, once and as one step', async () => {
    useStoryToPut().value = { deck: 'timetable', slides: [{ title: 'Quill passed Astrel in 2029', chart }] }
    const { store, where } = openDeck(someDeck(2))
    inPage(() => useStoryIntake())
    await nextTick()
    const last = store.slides.at(-1)!
    expect([store.slides.length, where.slideId, outlineOf(store.current, last).title]).toEqual([3, last.id, 'Quill passed Astrel in 2029'])
    expect(elementsOf(store.current, last.id).flatMap(element => (element.kind === 'chart' ? [element.chart] : []))).toEqual([chart])
    expect(useStoryToPut().value).toBeNull()
    store.undo()
    expect(store.slides).toHaveLength(2)
  })

  it('brings the slides of a whole story, the first of them in hand, in one step', async () => {
    const states = [{ ...chart, kind: 'line' }]
    const slides = [
      { title: 'How it went', chart, states },
      { title: 'What the figures say', lines: ['One', 'Two'] },
    ]
    useStoryToPut().value = { deck: 'timetable', slides }
    const { store, where } = openDeck(someDeck(2))
    inPage(() => useStoryIntake())
    await nextTick()
    expect(store.slides).toHaveLength(4)
    expect([where.slideId, beatsOf(store.current, where.slideId!).length]).toEqual([store.slides[2]!.id, 2])
    store.undo()
    expect(store.slides).toHaveLength(2)
  })

  it('is put into no other deck', async () => {
    useStoryToPut().value = { deck: 'elsewhere', slides: [{ title: 'Not here', chart }] }
    const { store } = openDeck(someDeck(2))
    inPage(() => useStoryIntake())
    await nextTick()
    expect(store.slides).toHaveLength(2)
  })
})
