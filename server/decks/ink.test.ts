import { putRecord, applyChanges, slidesOf } from '../../core/model'
import { describe, expect, it } from 'vitest'
import { inkOf } from '../../core/drawing'
import { beat, cue, freshDeck, textElement } from '../../core/testing'
import { compileSlide } from '../../core/timing'
import { serverMeasurer } from '../measure/measurer'
import { inkBookOf } from './ink'
import { inkFrom } from './ink-of'

/** A slide with words that a hand writes, and others that just stand there. */
function written(effect: string) {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  return applyChanges(base, [
    putRecord('elements', textElement('drawn', slide, ['Quay and boats'])),
    putRecord('elements', textElement('plain', slide, ['Nobody writes this'])),
    putRecord('beats', beat({ id: 'b', slide, order: 'z0' })),
    putRecord('cues', cue({ id: 'c', beat: 'b', element: 'drawn', effect })),
  ])
}

describe('the ink that a deck takes along', () => {
  it('holds just the words that a hand writes in it, and gives every player the same strokes and lengths as the server', async () => {
    const deck = written('draw')
    const book = await inkBookOf(deck, [], {})
    expect(
      Object.values(book.words)
        .flatMap(words => Object.keys(words))
        .sort(),
    ).toEqual(['Quay', 'and', 'boats'])
    const context = { measurer: serverMeasurer(), table: () => undefined, mediaLength: () => undefined }
    const slide = slidesOf(deck)[0]!.id
    const here = compileSlide(deck, slide, { ...context, ink: inkFrom({}) })
    const there = compileSlide(deck, slide, { ...context, ink: inkOf(JSON.parse(JSON.stringify(book))) })
    expect(here.tracks.get('drawn')!.drawing!.strokes.length).toBeGreaterThan(12)
    expect(there.tracks.get('drawn')!.drawing).toEqual(here.tracks.get('drawn')!.drawing)
    expect(there.length).toBe(here.length)
  })

  it('is none where no hand draws', async () => {
    expect(await inkBookOf(written('fade'), [], {})).toEqual({ words: {}, traced: {} })
  })
})
