import { setRecord, applyChanges, mend, slidesOf } from '../../core/model'
import { describe, expect, it } from 'vitest'
import { addSlide } from '../../core/edits'
import { shownElements } from '../../core/resolved'
import { countingContext, freshDeck } from '../../core/testing'
import { coverOf } from './cover'

describe('a cover', () => {
  const base = freshDeck()
  const deck = applyChanges(base, addSlide(base, { after: slidesOf(base)[0]!.id, layout: 'layout-list' }, countingContext('x')))

  it('shows the first slide just as the deck does, and holds no other', () => {
    const cover = coverOf(deck)
    const first = slidesOf(deck)[0]!.id
    expect(slidesOf(cover).map(slide => slide.id)).toEqual([first])
    expect(shownElements(cover, first)).toEqual(shownElements(deck, first))
    expect(mend(cover).notes).toEqual([])
    expect(JSON.stringify(cover).length).toBeLessThan(JSON.stringify(deck).length)
  })

  it('passes over skipped slides, and of an empty deck is empty', () => {
    const skipped = applyChanges(deck, [setRecord('slides', slidesOf(deck)[0]!.id, { skipped: true })])
    expect(slidesOf(coverOf(skipped))[0]!.id).toBe('x-1')
    expect(slidesOf(coverOf({ ...deck, slides: {} }))).toEqual([])
  })
})
