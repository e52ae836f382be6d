import { describe, expect, it } from 'vitest'
import { checkDeck } from '../checks'
import { familyNamed } from '../families'
import { applyChanges, elementsOf, setRecord, slidesOf, type Deck } from '../model'
import { countingContext, freshDeck, timingContext } from '../testing'
import {
  clearPicture,
  insertSlide,
  isOnlyWords,
  keepPicture,
  layOut,
  pictureWanted,
  picturesWanted,
  proposedOn,
  putPictures,
  type FoundPicture,
} from './index'

const found = (letter: string): FoundPicture => ({ hash: letter.repeat(64), width: 1600, height: 900 })
function slideOf(family: string, title: string, lines: readonly string[], base: Deck = freshDeck()) {
  const outline = { title, lines: lines.map(text => ({ text, level: 1 })) }
  return insertSlide(base, { after: slidesOf(base).at(-1)!.id, family: familyNamed(family)!, outline }, countingContext(family))
}
const people = slideOf('people-row', 'Who is there', ['Ines Rahm, harbour office', 'Jon Tarn, second ramp'])
const view = slideOf('picture-full', 'The night boat', ['From May on'])

describe('places that wait for a picture', () => {
  it('say what it would be of: what stands beside them, or the whole slide', () => {
    expect(picturesWanted(people.deck, people.slide).map(({ words, person, shape }) => [words, person, shape])).toEqual([
      ['Ines Rahm\nharbour office', true, 1],
      ['Jon Tarn\nsecond ramp', true, 1],
    ])
    expect(picturesWanted(view.deck, view.slide)).toMatchObject([{ words: 'The night boat\nFrom May on', person: false }])
  })
  it('are none where nothing is said, where there is a picture already, or on a slide that is gone', () => {
    const mute = slideOf('picture-full', '', [])
    expect(picturesWanted(mute.deck, mute.slide)).toEqual([])
    const filled = applyChanges(view.deck, putPictures(view.deck, picturesWanted(view.deck, view.slide), [[found('a')]]))
    expect(picturesWanted(filled, view.slide)).toEqual([])
    expect(picturesWanted(view.deck, 'gone')).toEqual([])
  })
})

describe('pictures that were found', () => {
  const wanted = picturesWanted(people.deck, people.slide)
  it('come into their places as proposals, none twice in a deck', () => {
    const deck = applyChanges(
      people.deck,
      putPictures(people.deck, wanted, [
        [found('a'), found('b')],
        [found('a'), found('b')],
      ]),
    )
    expect(proposedOn(deck, people.slide).map(({ media, natural }) => [media![0], natural!.width])).toEqual([
      ['a', 1600],
      ['b', 1600],
    ])
    expect(isOnlyWords(deck, people.slide)).toBe(true)
  })
  it('leave alone what was filled or taken away meanwhile, and places that nothing was found for', () => {
    const filled = applyChanges(people.deck, [setRecord('elements', wanted[0]!.element, { media: 'c'.repeat(64) })])
    expect(putPictures(filled, wanted, [[found('a')], []])).toEqual([])
  })
  const deck = applyChanges(people.deck, putPictures(people.deck, wanted, [[found('a')], [found('b')]]))
  const [first, second] = wanted.map(({ element }) => element) as [string, string]
  it('stay when somebody keeps them, and go when they are cleared; either can be asked for again', () => {
    const judged = applyChanges(deck, [keepPicture(first), clearPicture(second)])
    expect(proposedOn(judged, people.slide)).toEqual([])
    expect(judged.elements[first]).toMatchObject({ media: 'a'.repeat(64) })
    expect(picturesWanted(judged, people.slide).map(({ element }) => element)).toEqual([second])
    expect(pictureWanted(deck, first)?.words).toBe('Ines Rahm\nharbour office')
    expect(pictureWanted(judged, first)).toBeNull()
  })
  it('are told of by Check until somebody has looked at each, and are not among what is put right all at once', () => {
    const told = checkDeck(deck, timingContext).filter(({ rule }) => rule === 'proposed')
    expect(told.map(({ element, together, remedy }) => [element, together, remedy?.byEye])).toEqual([
      [first, undefined, true],
      [second, undefined, true],
    ])
    const kept = applyChanges(
      deck,
      told.flatMap(({ remedy }) => remedy!.changes(deck, countingContext())),
    )
    expect(checkDeck(kept, timingContext).filter(({ rule }) => rule === 'proposed')).toEqual([])
  })
  it('do not wait for another layout as those do that somebody put there', () => {
    const without = applyChanges(deck, layOut(deck, { slide: people.slide, family: familyNamed('list')! }, countingContext('l')))
    expect(elementsOf(without, people.slide).filter(({ kind }) => kind === 'picture')).toEqual([])
    const kept = applyChanges(deck, [keepPicture(first)])
    const waiting = applyChanges(kept, layOut(kept, { slide: people.slide, family: familyNamed('list')! }, countingContext('l')))
    expect(elementsOf(waiting, people.slide).filter(({ kind }) => kind === 'picture')).toMatchObject([{ id: first, waits: true }])
  })
})
