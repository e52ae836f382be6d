import { beforeEach, describe, expect, it } from 'vitest'
import { nextTick, shallowRef } from 'vue'
import type { DataTable } from '#core/data'
import { inPage } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useChartChoice } from './chart-choice'

const years = [2028, 2029, 2030, 2031]
const seasons = (id: string): DataTable => ({
  id,
  name: 'seasons',
  columns: [
    { name: 'season', type: 'date', grain: 'year', values: years.flatMap(year => [String(year), String(year)]) },
    { name: 'route', type: 'text', values: years.flatMap(() => ['Quill', 'Astrel']) },
    { name: 'passengers', type: 'number', values: years.flatMap((_, at) => [60 + at * 12, 70 - at * 2]) },
    { name: 'cars', type: 'number', values: years.flatMap((_, at) => [6 + at, 7]) },
  ],
})
function choosing(first: DataTable = seasons('t')) {
  const table = shallowRef<DataTable | undefined>(first)
  return { table, choice: inPage(() => useChartChoice(() => table.value)) }
}
const kinds = (choice: ReturnType<typeof choosing>['choice']) => choice.offers.value.map(({ kind }) => kind.name)

// The team has no maps of its own.
beforeEach(() => void answers.set('/api/maps', () => []))

describe('the choice of a chart', () => {
  it('begins with what suits the table best, and goes to another by a press or by what is to be shown', () => {
    const { choice } = choosing()
    expect(choice.current.value!.kind.name).toBe('line')
    choice.chosen.value = 'slope'
    expect(choice.current.value!.kind.name).toBe('slope')
    choice.chosen.value = null
    const all = [...kinds(choice)].sort()
    choice.show.value = 'share'
    expect(['stack', 'area']).toContain(kinds(choice)[0])
    expect([...kinds(choice)].sort()).toEqual(all)
  })

  it('brings a column in that was left out: numbers beside the others, words as what parts them', () => {
    const { choice } = choosing()
    expect(choice.leftOut.value.map(({ name }) => name)).toEqual(['cars'])
    choice.bringIn('cars')
    expect(choice.spec.value).toMatchObject({ series: null, beside: ['cars'], rule: 'rise' })
    expect(choice.leftOut.value.map(({ name }) => name)).toEqual(['route'])
    choice.bringIn('route')
    expect(choice.spec.value).toMatchObject({ series: 'route', beside: [] })
    choice.swap()
    expect(choice.spec.value).toMatchObject({ across: 'route', series: 'season' })
    expect(choice.spec.value!.rule).toBeUndefined()
  })

  it('takes a fact as what is highlighted and said, gives it up again, and forgets it with the columns that it was of', () => {
    const { choice } = choosing()
    const fact = choice.facts.value.find(({ words }) => words === 'Quill passed Astrel in 2029.')!
    choice.take(fact)
    expect(choice.headline.value).toBe('Quill passed Astrel in 2029')
    expect(choice.current.value!.spec.highlighted).toEqual(['Quill'])
    expect(choice.current.value!.spec.rule).toBeUndefined()
    choice.take(fact)
    expect([choice.headline.value, choice.current.value!.spec.rule]).toEqual(['passengers by season', 'rise'])
    choice.take(fact)
    choice.draw({ series: null })
    expect(choice.taken.value).toBeNull()
  })

  it('keeps what was chosen when the same table is read anew, and begins anew with another', async () => {
    const { table, choice } = choosing()
    choice.draw({ aggregate: 'mean' })
    choice.chosen.value = 'slope'
    table.value = seasons('t')
    await nextTick()
    expect([choice.spec.value!.aggregate, choice.chosen.value]).toEqual(['mean', 'slope'])
    table.value = seasons('other')
    await nextTick()
    expect([choice.spec.value!.aggregate, choice.spec.value!.table, choice.chosen.value]).toEqual(['sum', 'other', null])
  })

  it('shows the largest and the rest where that is the remedy, and all again', () => {
    const names = Array.from({ length: 20 }, (_, index) => `quay ${index}`)
    const { choice } = choosing({
      id: 'long',
      name: 'long',
      columns: [
        { name: 'quay', type: 'text', values: names },
        { name: 'boats', type: 'number', values: names.map((_, index) => index + 4) },
      ],
    })
    const ring = () => choice.offers.value.find(({ kind }) => kind.name === 'ring')!
    choice.draw(ring().suit.remedy!.change)
    expect([choice.spec.value!.largest, ring().suit.warning]).toEqual([7, undefined])
    choice.showAll()
    expect(choice.spec.value!.largest).toBeUndefined()
    expect(ring().suit.warning).toContain('20 parts')
  })

  it('draws nothing while a column of it can be read in two ways, and says which', () => {
    const base = seasons('open')
    const { choice } = choosing({ ...base, columns: [{ ...base.columns[0]!, open: 'No day is above 12.' }, base.columns[2]!] })
    choice.draw({ across: 'season' })
    expect(choice.question.value).toContain('“season” can be read in two ways.')
    expect([choice.offers.value, choice.facts.value, choice.current.value]).toEqual([[], [], null])
  })
})
