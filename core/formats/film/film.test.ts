import { infoOf, putRecord, setRecord, applyChanges, elementsOf, slidesOf } from '../../model'
import { describe, expect, it } from 'vitest'
import { shownElements } from '../../resolved'
import { freshDeck, textElement, timingContext } from '../../testing'
import { compileSlide, frameAt } from '../../timing'
import { shapes, sizeOfShape } from '../../layouts'
import { filmDeck, filmSize, type FilmOrder } from './index'

const order: FilmOrder = { format: 'mp4', rate: 30, shape: 'own', side: 720, captions: 'none', from: null, until: null, variant: null }
const deck = (() => {
  const base = freshDeck()
  const first = slidesOf(base)[0]!
  return applyChanges(base, [
    ...['s2', 's3', 's4'].map((id, index) => putRecord('slides', { ...first, id, order: `b0${index + 1}` })),
    putRecord('elements', {
      ...textElement('free', 's2', ['By hand']),
      box: { x: 1500, y: 800, width: 300, height: 100, angle: 0 },
    } as never),
  ])
})()

describe('a film’s picture', () => {
  it('has the shape that was asked for, and an even number of px in both directions', () => {
    for (const shape of Object.keys(shapes) as (keyof typeof shapes)[]) {
      const size = filmSize(deck, { shape, side: 721 })
      expect(size.width / size.height).toBeCloseTo(shapes[shape], 1)
      expect([size.width % 2, size.height % 2]).toEqual([0, 0])
      expect(Math.abs(Math.min(size.width, size.height) - 721)).toBeLessThanOrEqual(1)
    }
  })
  it('as the deck is leaves the deck as it is', () => {
    expect(filmDeck(deck, order)).toEqual(deck)
  })
})

describe('a deck at another shape', () => {
  it.each(['square', 'upright', 'tall', 'wide'] as const)('%s: everything stands within the picture', shape => {
    const fitted = filmDeck(deck, { ...order, shape })
    const { width, height } = infoOf(fitted).size
    expect({ width, height }).toEqual(sizeOfShape(infoOf(deck).size, shape))
    for (const slide of slidesOf(fitted)) {
      for (const { box, name } of shownElements(fitted, slide.id)) {
        expect([name, box.x >= -1, box.y >= -1, box.x + box.width <= width + 1, box.y + box.height <= height + 1]).toEqual([
          name,
          true,
          true,
          true,
          true,
        ])
      }
    }
  })
  it('leaves a board as it is: its camera shows each view whole', () => {
    const view = { id: 'v', name: 'Quay', box: { x: 1400, y: 700, width: 640, height: 360, angle: 0 } }
    const board = applyChanges(deck, [setRecord('slides', 's2', { board: { width: 4000, height: 2000 }, views: [view], opens: 'v' })])
    const fitted = filmDeck(board, { ...order, shape: 'tall' })
    expect(fitted.elements.free!.box).toEqual(deck.elements.free!.box)
    const { camera } = frameAt(compileSlide(fitted, 's2', timingContext), { beat: 0, seconds: 0 })
    expect(camera!.scale).toBeCloseTo(infoOf(fitted).size.width / 640, 6)
  })
  it('lets what was put by hand keep its own shape and its place in proportion', () => {
    const [free] = elementsOf(filmDeck(deck, { ...order, shape: 'tall' }), 's2').filter(element => element.id === 'free')
    expect(free!.box!.width / free!.box!.height).toBeCloseTo(3, 1)
    expect((free!.box!.x + free!.box!.width / 2) / 1080).toBeCloseTo(1650 / 1920, 1)
  })
})

describe('a range of slides', () => {
  it('leaves the others out of play, whichever end is named first', () => {
    const played = (input: Partial<FilmOrder>) =>
      slidesOf(filmDeck(deck, { ...order, ...input }))
        .filter(slide => !slide.skipped)
        .map(slide => slide.id)
    expect(played({ from: 's2', until: 's3' })).toEqual(['s2', 's3'])
    expect(played({ from: 's3', until: 's2' })).toEqual(['s2', 's3'])
    expect(played({ from: 's4' })).toEqual(['s4'])
    expect(played({ from: 'gone' })).toHaveLength(4)
  })
})
