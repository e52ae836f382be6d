import { dropRecord, putRecord, applyChanges, beatsOf, slidesOf, type Change, type Deck, type Element } from '../model'
import { describe, expect, it } from 'vitest'
import type { Raster } from '../color'
import { beat, countingContext, cue, freshDeck, textElement, timingContext } from '../testing'
import { checkDeck } from './index'

const photo = 'c'.repeat(64)
const whole: Raster = { width: 2, height: 2, data: new Uint8ClampedArray(16).fill(255) }
/** Left half there, right half see-through. */
const half: Raster = { width: 2, height: 1, data: new Uint8ClampedArray([9, 9, 9, 255, 0, 0, 0, 0]) }
const base = freshDeck()
const slide = slidesOf(base)[0]!.id
const [beat1] = beatsOf(base, slide)
const put = (record: object): Change => putRecord('elements', record as Element)
const words = {
  ...textElement('words', slide, ['Boats leave on the hour']),
  name: 'Remark',
  order: 'a1',
  box: { x: 100, y: 500, width: 800, height: 100, angle: 0 },
}
const picture = (more: object = {}) =>
  put({
    id: 'quay',
    owner: slide,
    kind: 'picture',
    name: 'Quay',
    order: 'a2',
    media: photo,
    natural: { width: 640, height: 360 },
    box: { x: 80, y: 400, width: 900, height: 300, angle: 0 },
    ...more,
  })
const found = (deck: Deck, raster: Raster | 'coming' = whole) =>
  checkDeck(deck, { ...timingContext, pixels: () => (raster === 'coming' ? undefined : [raster]) }).filter(
    finding => finding.rule === 'covered',
  )
const deckWith = (...changes: Change[]) =>
  applyChanges(base, [...Object.values(base.elements).map((element): Change => dropRecord('elements', element.id)), put(words), ...changes])

describe('words that something lies over', () => {
  it('are found, with what hides them, and stand in front after one press', () => {
    const deck = deckWith(picture())
    const [finding] = found(deck)
    expect(finding!.message).toMatch(/^“Quay” lies over “Boats.*” in “Remark” and hides 100 % of it\.$/)
    expect(found(applyChanges(deck, finding!.remedy!.changes(deck, countingContext('r'))))).toEqual([])
  })

  it('are hidden only where pixels are: not by what is see-through, faint, hidden, behind or beside them', () => {
    expect(found(deckWith(picture({ opacity: 0.1 })))).toEqual([])
    expect(found(deckWith(picture({ order: 'a0' })))).toEqual([])
    expect(found(deckWith(picture({ hidden: true })))).toEqual([])
    const footer = applyChanges(deckWith(picture()), [
      dropRecord('elements', 'words'),
      put({ ...words, owner: base.slides[slide]!.layout }),
    ])
    expect(found(footer)).toEqual([])
    expect(found(deckWith(picture({ box: { x: 80, y: 700, width: 900, height: 300, angle: 0 } })))).toEqual([])
    // Its see-through half lies over the words.
    expect(found(deckWith(picture({ box: { x: -1900, y: 400, width: 4000, height: 300, angle: 0 } })), half)).toEqual([])
    expect(found(deckWith(picture({ box: { x: 80, y: 400, width: 4000, height: 300, angle: 0 } })), half)).toHaveLength(1)
  })

  it('are not complained of while pixels are on their way, nor where they could be read before the picture came', () => {
    expect(found(deckWith(picture()), 'coming')).toEqual([])
    const later: Change[] = [
      putRecord('beats', beat({ id: 'next', slide, order: 'z0' })),
      putRecord('cues', cue({ id: 'in', beat: 'next', element: 'quay', effect: 'fade' })),
    ]
    expect(found(deckWith(picture(), ...later))).toEqual([])
    const atOnce: Change = putRecord('cues', cue({ id: 'in', beat: beat1!.id, element: 'quay', effect: 'fade' }))
    expect(found(deckWith(picture(), atOnce))).toHaveLength(1)
  })

  it('are hidden by shapes and by the panels of other texts as well', () => {
    const shape = put({
      id: 'plate',
      owner: slide,
      kind: 'shape',
      shape: 'rectangle',
      name: 'Plate',
      order: 'a2',
      fill: { role: 'accent1' },
      box: { x: 80, y: 400, width: 900, height: 300, angle: 0 },
    })
    expect(found(deckWith(shape))).toHaveLength(1)
    const panel = put({
      ...textElement('note', slide, ['Note']),
      name: 'Note',
      order: 'a2',
      box: { x: 80, y: 400, width: 900, height: 300, angle: 0 },
      panel: { padding: 10, radius: 0, fill: { role: 'accent1' } },
    })
    expect(found(deckWith(panel)).map(finding => finding.element)).toEqual(['words'])
  })
})
