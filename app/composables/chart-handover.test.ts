import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { newChart } from '#core/charts'
import { outlineOf } from '#core/layouts'
import { elementsOf } from '#core/model'
import { seasons } from '#core/testing'
import { inPage, openDeck, someDeck } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useChartIntake, useChartToPut } from './chart-handover'

const chart = { ...newChart('seasons'), kind: 'slope', rule: 'rise' as const }

beforeEach(() => void answers.set('/api/tables/seasons', () => seasons))

describe('a chart that was chosen under Data', () => {
  it('becomes the last slide of its deck with its headline, in hand, once and as one step', async () => {
    useChartToPut().value = { deck: 'timetable', title: 'Quill passed Astrel in 2029', chart }
    const { store, where } = openDeck(someDeck(2))
    inPage(() => useChartIntake())
    await nextTick()
    const last = store.slides.at(-1)!
    expect([store.slides.length, where.slideId, outlineOf(store.current, last).title]).toEqual([3, last.id, 'Quill passed Astrel in 2029'])
    expect(elementsOf(store.current, last.id).flatMap(element => (element.kind === 'chart' ? [element.chart] : []))).toEqual([chart])
    expect(useChartToPut().value).toBeNull()
    store.undo()
    expect(store.slides).toHaveLength(2)
  })

  it('is put into no other deck', async () => {
    useChartToPut().value = { deck: 'elsewhere', title: 'Not here', chart }
    const { store } = openDeck(someDeck(2))
    inPage(() => useChartIntake())
    await nextTick()
    expect(store.slides).toHaveLength(2)
  })
})
