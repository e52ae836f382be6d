import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newChart } from '../charts'
import type { DataTable } from '../data'
import { applyChanges, putRecord, slidesOf, type Cue, type Element } from '../model'
import { cue, freshDeck, timingContext } from '../testing'
import { compileSlide, frameAt, partWords } from './index'
import { spanOf } from './parts'

const riders: DataTable = {
  id: 'riders',
  name: 'Riders',
  columns: [
    { name: 'year', type: 'date', grain: 'year', values: ['2030', '2030', '2031', '2031', '2032', '2032'] },
    { name: 'route', type: 'text', values: ['Astrel', 'Quill', 'Astrel', 'Quill', 'Astrel', 'Quill'] },
    { name: 'riders', type: 'number', values: [30, 10, 20, 15, 10, 90] },
  ],
}
const context = { ...timingContext, table: (id: string) => (id === 'riders' ? riders : undefined) }

function played(kind: string, parts: NonNullable<Cue['parts']>) {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const first = Object.values(base.beats)[0]!.id
  const chart = { ...newChart('riders'), kind, series: 'route' }
  const element = {
    kind: 'chart',
    id: 'e',
    owner: slide,
    name: 'Chart',
    order: 'a0',
    box: { x: 0, y: 0, width: 900, height: 500, angle: 0 },
    chart,
  }
  const deck = applyChanges(base, [
    putRecord('elements', element as Element),
    putRecord('cues', cue({ id: 'c', beat: first, element: 'e', duration: 1, parts })),
  ])
  const score = compileSlide(deck, slide, context)
  const track = score.tracks.get('e')!
  const span = track.cues[0]!.span!
  return {
    words: partWords(deck, track, span, context),
    track,
    frame: (seconds: number) => frameAt(score, { beat: 0, seconds }).elements.get('e')!,
  }
}

describe('the parts of a chart in their turns', () => {
  it('come as they stand, by what they amount to, or from the end', () => {
    const order = (more: Partial<NonNullable<Cue['parts']>>) => played('bar', { by: 'mark', stagger: 1, ...more }).words
    // 2030 comes to 40, 2031 to 35, 2032 to 100.
    expect(order({})).toEqual(['2030', '2031', '2032'])
    expect(order({ backwards: true })).toEqual(['2032', '2031', '2030'])
    expect(order({ order: 'rising' })).toEqual(['2031', '2030', '2032'])
    expect(order({ order: 'falling' })).toEqual(['2032', '2030', '2031'])
  })

  it('come series by series across all columns, where the columns are its parts', () => {
    const { words, track, frame } = played('bar', { by: 'series', stagger: 2 })
    expect(words).toEqual(['2030, Astrel 2031, Astrel 2032, Astrel', '2030, Quill 2031, Quill 2032, Quill'])
    expect(track.partCount).toBe(6)
    expect(frame(1.5).parts!.map(({ visible }) => visible)).toEqual([true, false, true, false, true, false])
    expect(frame(2.5).parts!.every(({ visible }) => visible)).toBe(true)
  })

  it('come series by series where its parts are series, the greatest first', () => {
    expect(played('line', { by: 'series', stagger: 1, order: 'falling' }).words).toEqual(['Quill', 'Astrel'])
  })

  it('each have one turn, whatever the order', () => {
    const amount = fc.option(fc.integer({ min: -50, max: 50 }))
    fc.assert(
      fc.property(
        fc.array(amount, { minLength: 1, maxLength: 30 }),
        fc.constantFrom(undefined, 'rising' as const, 'falling' as const),
        fc.boolean(),
        (amounts, order, backwards) => {
          const { place, count } = spanOf([...amounts.keys()], { stagger: 1, backwards, ...(order ? { order } : {}) }, amounts)
          expect([...place].sort((a, b) => a - b)).toEqual([...amounts.keys()])
          expect(count).toBe(amounts.length)
          const inTurn = amounts.map((_, turn) => amounts[place.indexOf(turn)]).filter(value => value !== null) as number[]
          const way = (order === 'falling' ? -1 : 1) * (backwards ? -1 : 1)
          if (order) inTurn.slice(1).forEach((value, at) => expect(way * value).toBeGreaterThanOrEqual(way * inTurn[at]!))
        },
      ),
    )
  })
})
