import { describe, expect, it } from 'vitest'
import { applyChanges, beatsOf, cuesOf, elementsOf, mend, slidesOf, type Deck } from '../model'
import { itemPlace } from '../resolved'
import { countingContext, freshDeck, timingContext } from '../testing'
import { compileSlide, frameAt } from '../timing'
import { buildOf, buildSlide, entriesOf, insertSlide, layOut, outlineOf, partSlide, setOutlineSlide, type Build } from './index'
import { familyNamed } from '../families'

const context = countingContext('b')
const lines = ['Safety: two ramps', 'Speed: eight minutes', 'Space: a hall'].map(text => ({ text, level: 1 }))
const start = (family: string) => {
  const deck = freshDeck()
  return insertSlide(deck, { after: slidesOf(deck)[0]!.id, family: familyNamed(family)!, outline: { title: 'Why', lines } }, context)
}
const built = (family: string, how: Build) => {
  const { deck, slide } = start(family)
  return { deck: applyChanges(deck, buildSlide(deck, { slide, how }, context)), slide }
}
/** Which items stand there at the end of each beat. */
const standing = (deck: Deck, slide: string) => {
  const score = compileSlide(deck, slide, timingContext)
  return score.beats.map((beat, index) => {
    const frame = frameAt(score, { beat: index, seconds: beat.moves + 0.01 })
    return elementsOf(deck, slide)
      .filter(element => itemPlace(element.placeholder)?.slot === 'lead')
      .map(element => frame.elements.get(element.id)?.whole.visible ?? true)
  })
}

describe('how items come in', () => {
  it('on advance: one more in each beat, all of its parts with it', () => {
    const { deck, slide } = built('cards-row', 'advance')
    expect(buildOf(deck, slide)).toBe('advance')
    expect(standing(deck, slide)).toEqual([
      [false, false, false],
      [true, false, false],
      [true, true, false],
      [true, true, true],
    ])
    expect(
      beatsOf(deck, slide)
        .slice(1)
        .every(beat => cuesOf(deck, beat.id).length >= 3),
    ).toBe(true)
  })

  it('one after the other within the opening beat, or all at once without a cue', () => {
    const opening = built('cards-row', 'opening')
    expect(beatsOf(opening.deck, opening.slide)).toHaveLength(1)
    expect(entriesOf(opening.deck, opening.slide).map(entry => entry!.cue.delay)).toEqual([0, 0.18, 0.36])
    const none = applyChanges(opening.deck, buildSlide(opening.deck, { slide: opening.slide, how: 'none' }, context))
    expect(Object.keys(none.cues)).toEqual([])
  })

  it.each(['cards-row', 'list', 'steps-row', 'tree-down', 'numbered'])(
    'is kept by %s when the layout changes to another and back',
    family => {
      const { deck, slide } = built(family, 'advance')
      for (const other of ['lead-rows', 'list', 'timeline-column']) {
        const there = applyChanges(deck, layOut(deck, { slide, family: familyNamed(other)! }, context))
        expect(buildOf(there, slide)).toBe('advance')
        expect(beatsOf(there, slide)).toHaveLength(4)
        expect(entriesOf(there, slide).map(entry => entry!.beat)).toEqual(
          beatsOf(there, slide)
            .slice(1)
            .map(beat => beat.id),
        )
        expect(mend(there).notes).toEqual([])
      }
    },
  )

  it('a line written later comes in after the last, a line taken away takes its beat along', () => {
    const { deck, slide } = built('cards-row', 'self')
    const own = outlineOf(deck, deck.slides[slide]!)
    const more = applyChanges(
      deck,
      setOutlineSlide(deck, { slide, outline: { ...own, lines: [...own.lines, { text: 'Silence: at night', level: 1 }] } }, context),
    )
    expect(standing(more, slide).at(-1)).toEqual([true, true, true, true])
    expect(standing(more, slide).at(-2)).toEqual([true, true, true, false])
    const fewer = applyChanges(more, setOutlineSlide(more, { slide, outline: { ...own, lines: own.lines.slice(1) } }, context))
    expect(beatsOf(fewer, slide)).toHaveLength(3)
    expect(standing(fewer, slide).at(-1)).toEqual([true, true])
  })

  it('a slide parted in two keeps every line once, in order', () => {
    const { deck, slide } = start('cards-row')
    const parted = applyChanges(deck, partSlide(deck, { slide }, context))
    const [, first, second] = slidesOf(parted)
    expect([...outlineOf(parted, first!).lines, ...outlineOf(parted, second!).lines]).toEqual(lines)
    expect(outlineOf(parted, second!).title).toBe('Why')
  })
})
