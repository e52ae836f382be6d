import { describe, expect, it } from 'vitest'
import { removeSlides } from '../../edits'
import { applyChanges, beatsOf, mend, slidesOf, type Deck } from '../../model'
import { shownElements } from '../../resolved'
import { countingContext, freshDeck } from '../../testing'
import { layoutOfElement, roughMeasurer } from '../../text'
import { buildOf } from '../builds'
import { outlineOf } from '../outline'
import { fillStarter, insertStarter, starters } from './index'

const context = countingContext('st')
const made = (starter: (typeof starters)[number]): Deck => {
  const base = freshDeck(starter.purpose)
  const empty = applyChanges(base, removeSlides(base, { slides: slidesOf(base).map(slide => slide.id) }))
  return applyChanges(empty, insertStarter(empty, { starter, after: null }, context))
}

describe.each(starters.map(starter => [starter.label, starter] as const))('starter %s', (_, starter) => {
  const deck = made(starter)

  it('is whole, and all of its words fit', () => {
    expect(mend(deck).notes).toEqual([])
    expect(slidesOf(deck)).toHaveLength(starter.slides.length)
    for (const slide of slidesOf(deck))
      for (const element of shownElements(deck, slide.id))
        if (element.kind === 'text')
          expect(layoutOfElement(deck, element, roughMeasurer).fits, `${outlineOf(deck, slide).title}: ${element.name}`).toBe(true)
  })

  it('takes an outline of somebody’s own and keeps its beats', () => {
    const outline = [
      { title: 'Winter plan', lines: [{ text: 'For the board', level: 1 }] },
      ...starter.slides.slice(1).map((slide, index) => ({
        title: `Own ${index}`,
        lines: slide.lines
          ? [
              { text: 'First: a thing', level: 1 },
              { text: 'Second: another', level: 1 },
            ]
          : [],
      })),
      { title: 'One more', lines: [] },
    ]
    const filled = applyChanges(deck, fillStarter(deck, { starter, outline }, context, { measurer: roughMeasurer }))
    expect(mend(filled).notes).toEqual([])
    const titles = slidesOf(filled).map(slide => outlineOf(filled, slide).title)
    for (const slide of outline) expect(titles).toContain(slide.title)
    const built = starter.slides.findIndex((slide, index) => index > 0 && slide.build === 'advance' && slide.lines)
    if (built > 0) {
      const slide = slidesOf(filled).find(candidate => outlineOf(filled, candidate).title === `Own ${built - 1}`)!
      if (!starter.slides.slice(0, built).some(before => before.agenda)) expect(buildOf(filled, slide.id)).toBe('advance')
      expect(beatsOf(filled, slide.id).length).toBeGreaterThan(0)
    }
  })
})
