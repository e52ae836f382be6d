import { putRecord, applyChanges, slidesOf, textOf, type Change, type Cue, type Deck, type Element } from '../core/model'
import { addSlide } from '../core/edits'
import { layoutIdOf, newDeck } from '../core/layouts'
import { roughMeasurer } from '../core/text'
import { namedEasings, type TimingContext } from '../core/timing'

export const context: TimingContext = { measurer: roughMeasurer, table: () => undefined, mediaLength: () => undefined }

/** A deck of so many slides with so many elements each, and cues on the first `moving` of them, `cuesEach` apiece. */
export function deckOf(slides: number, elements: number, moving: number, cuesEach: number, forever = false): Deck {
  let count = 0
  const ids = { id: () => `b-${++count}` }
  let deck = newDeck({ title: `Bench ${slides} × ${elements}`, purpose: 'talk' }, ids)
  const changes: Change[] = []
  for (let index = 0; index < slides; index++) {
    const added = addSlide(deck, { after: slidesOf(deck).at(-1)!.id, layout: layoutIdOf('list') }, ids)
    deck = applyChanges(deck, added)
    const [slide] = added
    const beat = added.find(change => change.do === 'put' && change.table === 'beats')
    if (slide?.do !== 'put' || beat?.do !== 'put') continue
    for (let at = 0; at < elements; at++) {
      const id = ids.id()
      const box = { x: 40 + (at % 8) * 230, y: 40 + Math.floor(at / 8) * 190, width: 210, height: 170, angle: 0 }
      const order = `c${String(at).padStart(3, '0')}`
      const element: Element =
        at % 2
          ? { id, owner: slide.record.id, order, kind: 'shape', name: `Shape ${at}`, shape: 'rounded', fill: { role: 'accent1' }, box }
          : {
              id,
              owner: slide.record.id,
              order,
              kind: 'text',
              name: `Text ${at}`,
              style: 'small',
              text: textOf([`Boat ${at} of slide ${index}`]),
              box,
            }
      changes.push(putRecord('elements', element))
      for (let c = 0; c < (at < moving ? cuesEach : 0); c++) {
        const cue: Cue = {
          id: ids.id(),
          beat: beat.record.id,
          element: id,
          order: `d${String(at * 10 + c).padStart(4, '0')}`,
          what: c ? 'emphasis' : forever ? 'emphasis' : 'enter',
          effect: c || forever ? 'pulse' : 'rise',
          options: {},
          anchor: { to: 'beat' },
          delay: at * 0.05,
          duration: 1,
          easing: namedEasings['ease out'],
          repeat: forever ? 'forever' : 1,
        }
        changes.push(putRecord('cues', cue))
      }
    }
  }
  return applyChanges(deck, changes)
}
