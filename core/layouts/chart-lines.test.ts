import { describe, expect, it } from 'vitest'
import { tableOfChart, withCells } from '../charts'
import { setFields } from '../edits'
import { familyNamed } from '../families'
import { applyChanges, elementsOf, slidesOf, type ChartElement, type Deck } from '../model'
import { countingContext, freshDeck } from '../testing'
import { buildSlide } from './builds'
import { insertOutline, outlineOf, setOutlineSlide } from './outline'
import { propose } from './propose'
import { layOut } from './set-layout'

const lines = ['2028 48 %', '2029 52 %', '2030 61 %', '2031 64 %'].map(text => ({ text, level: 1 }))
const context = countingContext()

function deckOf(build = false): { deck: Deck; slide: string } {
  const start = freshDeck()
  let deck = applyChanges(start, insertOutline(start, { after: null, slides: [{ title: 'More people take the boat', lines }] }, context))
  const slide = slidesOf(deck)[0]!.id
  if (build) deck = applyChanges(deck, buildSlide(deck, { slide, how: 'advance' }, context))
  return { deck: applyChanges(deck, layOut(deck, { slide, family: familyNamed('chart-lines')! }, context)), slide }
}
const chartIn = (deck: Deck, slide: string) => elementsOf(deck, slide).find((one): one is ChartElement => one.kind === 'chart')!
const valuesIn = (deck: Deck, slide: string) =>
  tableOfChart(deck, chartIn(deck, slide), () => undefined)!.columns.map(({ values }) => values)

describe('a chart of the lines of a slide', () => {
  it('is offered where lines are amounts that can be compared, and not otherwise', () => {
    const names = (texts: string[]) =>
      propose({ title: 'Boats', first: false, lines: texts.map(text => ({ text, level: 1 })) }).map(({ family }) => family.name)
    expect(names(lines.map(({ text }) => text)).indexOf('chart-lines')).toBeLessThan(3)
    expect(names(['Astrel: 120 cars', 'Quill: 80 cars', 'Norrhaven: 45 cars'])).toContain('chart-lines')
    expect(names(['Astrel is old', 'Quill is new'])).not.toContain('chart-lines')
    expect(names(['Astrel: 120 cars', 'Quill: 80 %'])).not.toContain('chart-lines')
  })

  it('draws them, and the outline still has them', () => {
    const { deck, slide } = deckOf()
    expect(valuesIn(deck, slide)).toEqual([
      ['2028', '2029', '2030', '2031'],
      [0.48, 0.52, 0.61, 0.64],
    ])
    expect(outlineOf(deck, deck.slides[slide]!).lines.map(({ text }) => text)).toEqual(lines.map(({ text }) => text))
    expect(elementsOf(deck, slide).filter(({ placeholder }) => placeholder?.startsWith('item'))).toEqual([])
  })

  it('is another one once a line is, and what is changed in it is changed in its line', () => {
    const { deck, slide } = deckOf()
    const outline = { title: 'More people take the boat', lines: [...lines, { text: '2032 70 %', level: 1 }] }
    const longer = applyChanges(deck, setOutlineSlide(deck, { slide, outline }, context))
    expect(chartIn(longer, slide).id).toBe(chartIn(deck, slide).id)
    expect(valuesIn(longer, slide)[1]).toEqual([0.48, 0.52, 0.61, 0.64, 0.7])
    const chart = chartIn(longer, slide)
    const text = withCells(chart.text!, [{ row: 1, column: 'Share', value: 0.55 }], 'en')
    const pulled = applyChanges(longer, setFields(longer, { table: 'elements', id: chart.id, fields: { text } }))
    expect(outlineOf(pulled, pulled.slides[slide]!).lines[1]!.text).toBe('2029 55 %')
  })

  it('becomes a list, and items, without losing a line', () => {
    const { deck, slide } = deckOf()
    for (const name of ['list', 'cards-row', 'growth', 'statement']) {
      const other = applyChanges(deck, layOut(deck, { slide, family: familyNamed(name)! }, context))
      expect(outlineOf(other, other.slides[slide]!).lines.map(({ text }) => text)).toEqual(lines.map(({ text }) => text))
      expect(chartIn(other, slide)).toBeUndefined()
      const again = applyChanges(other, layOut(other, { slide, family: familyNamed('chart-lines')! }, context))
      expect(valuesIn(again, slide)).toEqual(valuesIn(deck, slide))
    }
  })

  it('comes in mark by mark where its lines came one by one, in as many beats', () => {
    const { deck, slide } = deckOf(true)
    const cues = Object.values(deck.cues).filter(cue => cue.element === chartIn(deck, slide).id)
    expect(cues.map(cue => cue.parts?.by)).toEqual(['mark', 'mark', 'mark', 'mark'])
    const list = applyChanges(deck, layOut(deck, { slide, family: familyNamed('list')! }, context))
    expect(Object.values(list.cues).map(cue => cue.parts?.by)).toEqual(['paragraph', 'paragraph', 'paragraph', 'paragraph'])
  })
})
